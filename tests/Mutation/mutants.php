<?php

declare(strict_types=1);

/*
 * Changes one thing in the core, runs the tests that meet it, and sees whether one fails; so a seeded sample of mutants.
 *   php tests/Mutation/mutants.php COVERAGE HOW-MANY SEED REPORT [BEFORE]
 * With the report of a run before, on the same code, those that were not found then are tried again, and counted with the rest.
 * The coverage is that of the core's tests (bin/mutate makes it). The report is JSON: what was found, and each that was not.
 */

use Pest\Mutate\Cache\NullStore;
use Pest\Mutate\Contracts\Mutator;
use Pest\Mutate\Mutation;
use Pest\Mutate\Mutators\Sets\DefaultSet;
use Pest\Mutate\Plugins\Mutate;
use Pest\Mutate\Support\MutationGenerator;
use Pest\Support\Container;
use Psr\SimpleCache\CacheInterface;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

require __DIR__.'/../../vendor/autoload.php';
ini_set('memory_limit', '2G');

const AT_ONCE = 2;
/** Seconds; a mutant that loops is found. */
const LONGEST = 120;

[, $coverage, $count, $seed, $report] = $argv;
$before = isset($argv[5]) ? json_decode((string) file_get_contents($argv[5]), true, flags: JSON_THROW_ON_ERROR) : null;
@mkdir(__DIR__.'/../../vendor/pestphp/pest-plugin-mutate/.temp/mutations', recursive: true);
Container::getInstance()->add(CacheInterface::class, new NullStore());
$chance = new Randomizer(new Mt19937((int) $seed));

/** @var array<string, array<int, list<string>|null>> $covered tests by file and line */
$covered = (require $coverage)->getData()->lineCoverage();
$files = [];
$sources = [];
foreach (Finder::create()->in(realpath(__DIR__.'/../../core') ?: '')->name('*.php')->sortByName() as $file) {
    $files[$file->getRealPath()] = $file;
    $sources[$file->getRealPath()] = file($file->getRealPath()) ?: [];
}
/** @var list<array{string, int}> $lines that do or decide something */
$lines = [];
foreach ($sources as $path => $text) {
    foreach ($text as $i => $line) {
        $isConstant = preg_match('/^\s*(public |private |protected )?const /', $line) === 1;
        if (($covered[$path][$i + 1] ?? null) !== null || ($isConstant && preg_match('/\d|\[/', $line) === 1)) {
            $lines[] = [$path, $i + 1];
        }
    }
}
$lines = $chance->shuffleArray($lines);

$tables = [];
foreach ($covered as $byLine) {
    foreach ($byLine as $tests) {
        array_push($tables, ...preg_grep('/BoundariesTest/', $tests ?? []) ?: []);
    }
}
$tables = array_values(array_unique($tables));

/** @return list<string> tests that meet a mutant; those of a constant are those that meet its use */
$testsOf = static function (Mutation $mutation) use ($covered, $sources, $tables): array {
    $path = $mutation->file->getRealPath();
    $tests = [];
    foreach (range($mutation->startLine, $mutation->endLine) as $line) {
        array_push($tests, ...array_values($covered[$path][$line] ?? []));
    }
    $isConstant = $tests === [];
    if ($isConstant) {
        // Up from the line to the constant that it is part of.
        $at = $mutation->startLine - 1;
        while ($at > 0 && preg_match('/\bconst \w/', $sources[$path][$at]) !== 1 && preg_match('/^\s*(case|public|private|\}|\/\*)/', $sources[$path][$at]) !== 1) {
            $at--;
        }
        if (preg_match('/\bconst (?:[\w\\\\|?]+ )?(\w+) =/', $sources[$path][$at], $found) === 1) {
            $class = basename($path, '.php');
            foreach ($sources as $other => $text) {
                $use = $other === $path ? '/\b(self|static|'.$class.')::'.$found[1].'\b/' : '/\b'.$class.'::'.$found[1].'\b/';
                foreach ($text as $i => $line) {
                    if (preg_match($use, $line) === 1) {
                        array_push($tests, ...array_values($covered[$other][$i + 1] ?? []));
                    }
                }
            }
        }
    }

    // Tests that look at constants from outside touch no line of theirs.
    return $isConstant ? array_values(array_unique([...$tests, ...$tables])) : array_values(array_unique($tests));
};

/** @param list<string> $tests */
$filter = static function (array $tests): string {
    $filters = [];
    foreach ($tests as $test) {
        if (preg_match('/\\\\([a-zA-Z0-9]*)::(?:__pest_evaluable_)?([^#]*)"?/', $test, $found) === 1) {
            $filters[] = $found[1].'::(.*)'.str_replace(['__', '_'], ['.{1,2}', '.'], $found[2]);
        }
    }

    return implode('|', array_unique($filters));
};

/** In a switch `break` and `continue` are the same: no test can tell them apart. */
$isSame = static function (Mutation $mutation) use ($sources): bool {
    $text = $sources[$mutation->file->getRealPath()];
    $line = $text[$mutation->startLine - 1];
    if (preg_match('/^( +)(break|continue);$/', rtrim($line), $found) !== 1) {
        return false;
    }
    $depth = strlen($found[1]);
    for ($at = $mutation->startLine - 2; $at > 0; $at--) {
        $indent = strspn($text[$at], ' ');
        if (trim($text[$at]) === '' || $indent >= $depth) {
            continue;
        }
        if (preg_match('/^ +(\} )?(if|else)/', $text[$at]) !== 1) {
            break;
        }
        $depth = $indent;
    }

    return preg_match('/^ +(case |default:)/', $text[$at]) === 1;
};

/** @var list<class-string<Mutator>> $mutators */
$mutators = DefaultSet::mutators();
$generator = new MutationGenerator();
$next = static function () use (&$lines, $files, $mutators, $generator, $chance, $isSame): ?Mutation {
    while ($lines !== []) {
        [$path, $line] = array_pop($lines);
        $mutations = array_values(array_filter($generator->generate($files[$path], $mutators, [$line]), static fn (Mutation $one): bool => $one->startLine === $line && ! $isSame($one)));
        if ($mutations !== []) {
            return $mutations[$chance->getInt(0, count($mutations) - 1)];
        }
    }

    return null;
};

if ($before !== null) {
    $root = dirname(__DIR__, 2).'/';
    $again = [];
    foreach ($before['left'] as $one) {
        foreach ($generator->generate($files[$root.$one['file']], $mutators, [$one['line']]) as $mutation) {
            if ($mutation->startLine === $one['line'] && basename(str_replace('\\', '/', $mutation->mutator)) === $one['mutator'] && strip_tags($mutation->diff) === $one['diff'] && ! $isSame($mutation)) {
                $again[] = $mutation;
            }
        }
    }
    $count = count($again);
    $next = static function () use (&$again): ?Mutation {
        return array_shift($again);
    };
}

$found = ['found' => $before['found'] ?? 0, 'not found' => 0, 'met by no test' => 0];
$left = [];
$running = [];
$made = 0;
while ($made < (int) $count || $running !== []) {
    while (count($running) < AT_ONCE && $made < (int) $count && ($mutation = $next()) !== null) {
        $made++;
        $tests = $testsOf($mutation);
        if ($tests === []) {
            $found['met by no test']++;
            $left[] = $mutation;

            continue;
        }
        // So many tests meet it that they are not named one by one.
        $names = $filter($tests);
        $process = new Process(
            [PHP_BINARY, 'vendor/bin/pest', '--testsuite=Core', '--bail', ...strlen($names) < 100_000 ? ['--filter='.$names] : []],
            dirname(__DIR__, 2),
            [Mutate::ENV_MUTATION_TESTING => $mutation->file->getRealPath(), Mutate::ENV_MUTATION_FILE => $mutation->modifiedSourcePath],
            timeout: LONGEST,
        );
        $process->start();
        $running[] = [$mutation, $process];
    }
    foreach ($running as $i => [$mutation, $process]) {
        try {
            if ($process->isRunning()) {
                $process->checkTimeout();

                continue;
            }
            $isFound = ! $process->isSuccessful();
        } catch (ProcessTimedOutException) {
            $isFound = true;
        }
        unset($running[$i]);
        $found[$isFound ? 'found' : 'not found']++;
        if (! $isFound) {
            $left[] = $mutation;
            fwrite(STDERR, 'not found: '.substr($mutation->file->getRealPath(), strlen(dirname(__DIR__, 2)) + 1).":{$mutation->startLine} ".basename(str_replace('\\', '/', $mutation->mutator))."\n");
        }
    }
    usleep(20_000);
    if ($made < (int) $count && $lines === [] && $running === []) {
        break;
    }
}
$all = array_sum($found);
$told = array_map(static fn (Mutation $one): array => ['file' => substr($one->file->getRealPath(), strlen(dirname(__DIR__, 2)) + 1), 'line' => $one->startLine, 'mutator' => basename(str_replace('\\', '/', $one->mutator)), 'diff' => strip_tags($one->diff)], $left);
file_put_contents($report, json_encode(['seed' => (int) $seed, ...$found, 'part' => $all === 0 ? 0 : round($found['found'] / $all, 4), 'left' => $told], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
echo json_encode([...$found, 'part' => $all === 0 ? 0 : round($found['found'] / $all, 4)])."\n";
exit($all > 0 && $found['found'] / $all >= 0.85 ? 0 : 1);
