<?php

declare(strict_types=1);

use Tests\Mutation\Covered;
use Tests\Mutation\Run;

/*
 * bin/odd-bench mutate [PATH…] [--sample N] [--seed N] [--tests FOLDER] [--fresh]: small changes to the rules, and whether a test
 * notices each; with --tests only those of a room, which is quick and says less.
 */
$root = dirname(__DIR__, 2);
require "{$root}/vendor/autoload.php";
ini_set('memory_limit', '2G');

$options = ['sample' => null, 'seed' => '1', 'tests' => null, 'fresh' => null];
$paths = [];
for ($i = 1; $i < $argc; $i++) {
    if (preg_match('/^--(sample|seed|tests)$/', $argv[$i], $name) === 1) {
        $options[$name[1]] = $argv[++$i] ?? '';
    } elseif ($argv[$i] === '--fresh') {
        $options['fresh'] = '1';
    } else {
        $paths[] = trim($argv[$i], '/');
    }
}
$paths = $paths === [] ? ['core'] : $paths;
$files = [];
foreach ($paths as $path) {
    if (is_file("{$root}/{$path}")) {
        $files[] = $path;
    }
    foreach (is_dir("{$root}/{$path}") ? new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
        "{$root}/{$path}",
        FilesystemIterator::SKIP_DOTS,
    )) : [] as $file) {
        if (str_ends_with((string) $file, '.php')) {
            $files[] = substr((string) $file, strlen($root) + 1);
        }
    }
}
// inputs of examples and of attacks: no rule of the job stands there
$files = array_diff($files, ['core/Computation/Examples.php', 'core/Computation/Hostile.php']);
sort($files);
if ($files === []) {
    fwrite(STDERR, 'There is no PHP under '.implode(', ', $paths).". Give a file or a folder, such as core/Stock.\n");
    exit(2);
}
$work = "{$root}/var/mutate";
is_dir($work) || mkdir($work, 0755, true);
$app = array_filter($files, static fn (string $file): bool => str_starts_with($file, 'app/')) !== [];
$suite = $options['tests'] === null ? ['--testsuite', $app ? 'Feature,Runs' : 'Core'] : ["{$root}/{$options['tests']}"];
$kept = "{$work}/".($app ? 'app' : 'core').($options['tests'] === null ? '' : '-'.strtr($options['tests'], '/', '-'));
[$coverage, $log] = ["{$kept}.cov.php", "{$kept}.xml"];
// what was measured before the code or its tests changed calls new lines untested
$newest = 0;
foreach ($app ? ['core', 'app', 'tests/Core', 'tests/Feature'] : ['core', 'tests/Core'] as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file) {
        $newest = max($newest, (int) filemtime((string) $file));
    }
}
if ($options['fresh'] !== null || ! is_file($coverage) || filemtime($coverage) < $newest) {
    fwrite(STDERR, 'Which tests run which lines ('.implode(' ', $suite).")…\n");
    passthru(implode(' ', array_map(escapeshellarg(...), [
        'php',
        '-d',
        'extension=pcov',
        '-d',
        'pcov.enabled=1',
        '-d',
        "pcov.directory={$root}",
        '-d',
        'pcov.exclude=~/(vendor|tests|node_modules)/~',
        '-d',
        'memory_limit=3G',
        "{$root}/vendor/bin/phpunit",
        ...$suite,
        // it times what it tries, and everything is slower here
        '--exclude-filter',
        'FuzzTest',
        '--coverage-php',
        $coverage,
        '--coverage-filter',
        "{$root}/core",
        '--coverage-filter',
        "{$root}/app",
        '--log-junit',
        $log,
        '--no-progress',
    ])).' 1>&2', $status);
    if ($status !== 0) {
        fwrite(STDERR, "The tests must pass before changes are tried.\n");
        exit(1);
    }
}
$result = (new Run($root, Covered::read($root, $coverage, $log), $work, $app ? 1 : 2))->over(
    $files,
    $options['sample'] === null ? null : (int) $options['sample'],
    (int) $options['seed'],
);
$tried = $result['killed'] + count($result['survived']) + count($result['uncovered']);
echo "\n";
foreach (['nobody noticed' => $result['survived'], 'no test runs it' => $result['uncovered']] as $how => $mutants) {
    foreach ($mutants as $mutant) {
        echo "{$how}: {$mutant->text()}\n";
    }
}
printf(
    "%d changes, %d noticed (%.1f %%), %d not, %d in lines no test runs\n",
    $tried,
    $result['killed'],
    $tried === 0 ? 100 : 100 * $result['killed'] / $tried,
    count($result['survived']),
    count($result['uncovered']),
);
