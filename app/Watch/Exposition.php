<?php

declare(strict_types=1);

namespace App\Watch;

/** Figures as the open text that scrapers read: a line of help, a line of the kind, a line each value. */
final class Exposition
{
    private string $text = '';

    /**
     * @param 'counter'|'gauge'|'histogram'                 $kind
     * @param list<array{0: array<string, string>, 1: int|float, 2?: string}> $values labels, value, and what is put behind the name
     */
    public function add(string $name, string $kind, string $help, array $values): self
    {
        if ($values === []) {
            return $this;
        }
        $this->text .= "# HELP {$name} {$help}\n# TYPE {$name} {$kind}\n";
        foreach ($values as $of) {
            $labels = [];
            foreach ($of[0] as $label => $value) {
                $labels[] = $label.'="'.addcslashes($value, "\\\"\n").'"';
            }
            $this->text .= $name.($of[2] ?? '').($labels === [] ? '' : '{'.implode(',', $labels).'}')." {$of[1]}\n";
        }

        return $this;
    }

    public function text(): string
    {
        return $this->text;
    }
}
