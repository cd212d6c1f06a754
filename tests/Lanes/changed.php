<?php

declare(strict_types=1);

/*
 * php tests/Lanes/changed.php SECONDS FILE...: the test files that a change to these files most likely breaks, as a configuration of
 * PHPUnit. A changed test is one; so is every test that names a changed class, and the test of the knowledge when its files changed.
 * Those that name most of what changed first, as many as take so long; how many were left out is said on standard error.
 */

require __DIR__.'/groups.php';

$most = (float) ($argv[1] ?? 45);
$changed = array_slice($argv, 2);
$tests = array_merge(files('Core'), files('Feature'));
$weights = weights();
$points = [];
$classes = [];
foreach ($changed as $file) {
    if (in_array($file, $tests, true)) {
        $points[$file] = INF;
    } elseif (preg_match('~^(?:core|app)/(?:.+/)?([A-Z]\w+)\.php$~', $file, $name) === 1) {
        $classes[] = $name[1];
    } elseif (str_starts_with($file, 'knowledge/')) {
        $points['tests/Feature/KnowledgeFilesTest.php'] = INF;
    } elseif (str_starts_with($file, 'database/migrations/')) {
        $points['tests/Feature/SchemaTest.php'] = INF;
    }
}
foreach ($tests as $test) {
    $text = (string) file_get_contents(ROOT."/{$test}");
    foreach ($classes as $class) {
        $points[$test] = ($points[$test] ?? 0) + (preg_match("/\\b{$class}\\b/", basename($test, 'Test.php')."\n{$text}") === 1 ? 1 : 0);
    }
}
$points = array_filter($points);
uksort($points, static fn (string $a, string $b): int => [$points[$b], $weights[$a] ?? UNKNOWN_S] <=> [$points[$a], $weights[$b] ?? UNKNOWN_S]);
$taken = [];
$seconds = 0.0;
foreach (array_keys($points) as $test) {
    $takes = $weights[$test] ?? UNKNOWN_S;
    if ($points[$test] === INF || $seconds + $takes <= $most) {
        $taken[] = $test;
        $seconds += $takes;
    }
}
fwrite(STDERR, sprintf("%d of %d test files that name what changed, about %.0f s.\n", count($taken), count($points), $seconds));
echo $taken === [] ? '' : configuration('changed', $taken)."\n";
