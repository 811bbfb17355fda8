<?php

declare(strict_types=1);

use App\Desk\KeptReport;
use Tests\Golden;

/** @return array<string, list<string>> the properties of a class and of all that it may hold, by class */
function form_of(string $class, array $seen = []): array
{
    if (isset($seen[$class]) || ! class_exists($class) || enum_exists($class)) {
        return $seen;
    }
    $reflection = new ReflectionClass($class);
    $seen[$class] = array_map(static fn (ReflectionProperty $one): string => "{$one->getName()} {$one->getType()}", array_values(array_filter($reflection->getProperties(), static fn (ReflectionProperty $one): bool => ! $one->isStatic())));
    $types = implode(' ', $seen[$class]).' '.$reflection->getConstructor()?->getDocComment();
    preg_match_all('/[A-Z][\w\\\\]+/', $types, $named);
    foreach (array_unique($named[0]) as $name) {
        foreach ([$name, "{$reflection->getNamespaceName()}\\{$name}", "Nasturtium\\Core\\Score\\{$name}"] as $known) {
            $seen = form_of($known, $seen);
        }
    }

    return $seen;
}

test('what another release has kept is not read: its form has a name, and changes with what is said of many pages', function (): void {
    $form = form_of(KeptReport::class);
    ksort($form);
    expect(array_keys($form))->toContain('Nasturtium\Core\Report\Document\Event', 'Nasturtium\Core\Report\Document\Reason', 'Nasturtium\Core\Performance\Sound', 'Nasturtium\Core\Score\Fraction');
    $name = substr(hash('sha256', serialize($form).file_get_contents(Golden::FILE)), 0, 12);
    expect(KeptReport::FORM)->toBe($name, "a report is another one: KeptReport::FORM is '{$name}' now");
});
