<?php

declare(strict_types=1);

// Test files, what each takes, and groups of them: for the scripts beside this one.

const ROOT = __DIR__.'/../..';
const UNKNOWN_S = 5.0;

/** @return array<string, float> file => seconds */
function weights(): array
{
    $weights = [];
    foreach (file(__DIR__.'/weights.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
        [$seconds, $file] = explode(' ', $line, 2);
        $weights[$file] = (float) $seconds;
    }

    return $weights;
}

/** @return list<string> the test files of a suite, as phpunit.xml has it */
function files(string $suite): array
{
    if ($suite === 'Browser') {
        return array_map(static fn (string $path): string => 'tests/Browser/'.basename($path), glob(ROOT.'/tests/Browser/*.spec.ts') ?: []);
    }
    $xml = simplexml_load_file(ROOT.'/phpunit.xml');
    $found = [];
    foreach (($xml === false ? [] : $xml->xpath("//testsuite[@name='{$suite}']")) ?: [] as $of) {
        $not = array_map(strval(...), $of->xpath('exclude') ?: []);
        foreach ($of->directory as $folder) {
            $all = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(ROOT."/{$folder}", FilesystemIterator::SKIP_DOTS));
            foreach ($all as $file) {
                $name = substr((string) $file, strlen(ROOT) + 1);
                if (str_ends_with($name, 'Test.php') && ! in_array($name, $not, true)) {
                    $found[] = $name;
                }
            }
        }
    }
    sort($found);

    return $found;
}

/**
 * The heaviest first, each to the group that has least so far (Graham 1969).
 *
 * @param  list<string>  $files
 * @return list<list<string>>
 */
function groups(array $files, int $of): array
{
    $weights = weights();
    $weigh = static fn (string $file): float => $weights[$file] ?? UNKNOWN_S;
    usort($files, static fn (string $a, string $b): int => $weigh($b) <=> $weigh($a) ?: strcmp($a, $b));
    $groups = array_fill(0, $of, []);
    $sums = array_fill(0, $of, 0.0);
    foreach ($files as $file) {
        $least = (int) array_search(min($sums), $sums, true);
        $groups[$least][] = $file;
        $sums[$least] += $weigh($file);
    }

    return $groups;
}

/** @param  list<string>  $files */
function configuration(string $name, array $files): string
{
    $xml = new DOMDocument;
    $xml->load(ROOT.'/phpunit.xml');
    $suites = $xml->getElementsByTagName('testsuites')->item(0) ?? throw new LogicException('phpunit.xml holds no suites.');
    while ($suites->firstChild !== null) {
        $suites->removeChild($suites->firstChild);
    }
    $suite = $xml->createElement('testsuite');
    $suite->setAttribute('name', $name);
    foreach ($files as $file) {
        $suite->appendChild($xml->createElement('file', realpath(ROOT."/{$file}") ?: $file));
    }
    $suites->appendChild($suite);
    $root = $xml->documentElement ?? throw new LogicException('phpunit.xml is empty.');
    $root->setAttribute('bootstrap', realpath(ROOT.'/tests/bootstrap.php') ?: '');
    $root->setAttribute('cacheDirectory', realpath(ROOT).'/var/phpunit/'.sha1($name));
    $path = sys_get_temp_dir().'/odd-bench-'.sha1(realpath(ROOT)."{$name}").'.xml';
    $xml->save($path);

    return $path;
}

/** @param  list<string>  $reports */
function weigh(array $reports): void
{
    $weights = weights();
    $read = [];
    foreach ($reports as $report) {
        $xml = simplexml_load_file($report);
        foreach (($xml === false ? [] : $xml->xpath('//testcase')) ?: [] as $case) {
            $file = (string) ($case['file'] ?? 'tests/Browser/'.$case['classname']);
            $file = preg_replace('~^.*?(tests/)~', '$1', $file);
            $read[$file] = ($read[$file] ?? 0.0) + (float) $case['time'];
        }
    }
    $weights = array_filter([...$weights, ...$read], static fn (string $file): bool => is_file(ROOT."/{$file}"), ARRAY_FILTER_USE_KEY);
    ksort($weights);
    $lines = array_map(static fn (string $file, float $s): string => sprintf('%.1f %s', $s, $file), array_keys($weights), $weights);
    file_put_contents(__DIR__.'/weights.txt', implode("\n", $lines)."\n");
}
