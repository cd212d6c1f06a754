<?php

declare(strict_types=1);

/*
 * php tests/Lanes/group.php SUITE NUMBER OF: the tests of one suite, or of the browser, in groups that take about as long; prints the
 * NUMBERth of OF. Of PHPUnit that is the name of a configuration that holds it, of the browser the names of the files. What each file
 * takes stands in weights.txt (seconds on one core); one that is not there counts five. `--weigh JUNIT...` writes it anew.
 */

require __DIR__.'/groups.php';

if (($argv[1] ?? '') === '--weigh') {
    weigh(array_slice($argv, 2));
    exit(0);
}
[, $suite, $number, $of] = $argv + [1 => '', 2 => '1', 3 => '1'];
$group = groups(files($suite), max(1, (int) $of))[(int) $number - 1] ?? [];
if ($group === []) {
    fwrite(STDERR, "There is no group {$number} of {$of} of {$suite}.\n");
    exit(1);
}
echo $suite === 'Browser' ? implode(' ', $group) : configuration("{$suite} {$number} of {$of}", $group), "\n";
