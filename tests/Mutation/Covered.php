<?php

declare(strict_types=1);

namespace Tests\Mutation;

use RuntimeException;
use SebastianBergmann\CodeCoverage\CodeCoverage;
use SimpleXMLElement;

/** Which tests run which lines, and how long each takes: read from one run of PHPUnit with coverage. */
final readonly class Covered
{
    /**
     * @param  array<string, array<int, list<string>>>  $lines  file => line => tests, as Class::method
     * @param  array<string, float>  $seconds  test => how long it takes
     * @param  array<string, int>  $reach  test => how many lines it runs
     */
    private function __construct(private array $lines, private array $seconds, private array $reach)
    {
    }

    public static function read(string $root, string $coverage, string $log): self
    {
        $of = require $coverage;
        if (! $of instanceof CodeCoverage) {
            throw new RuntimeException("{$coverage} is no coverage of PHPUnit");
        }
        $lines = $reach = [];
        foreach ($of->getData()->lineCoverage() as $file => $run) {
            foreach ($run as $line => $tests) {
                $its = array_values(array_unique($tests ?? []));
                $lines[substr((string) $file, strlen($root) + 1)][(int) $line] = $its;
                foreach ($its as $test) {
                    $reach[$test] = ($reach[$test] ?? 0) + 1;
                }
            }
        }
        $seconds = [];
        $xml = new SimpleXMLElement((string) file_get_contents($log));
        foreach ($xml->xpath('//testcase') ?: [] as $case) {
            $test = self::named("{$case['class']}::{$case['name']}");
            $seconds[$test] = ($seconds[$test] ?? 0.0) + (float) $case['time'];
        }

        return new self($lines, $seconds, $reach);
    }

    /**
     * The tests that run a line and stay within so many seconds together, those first that are about it: they run little else.
     *
     * @return list<string>
     */
    public function tests(string $file, int $line, float $mostSeconds): array
    {
        // a constant and a default stand on lines that are never run: whatever runs the file reads them
        $tests = $this->lines[$file][$line] ?? array_values(array_unique(array_merge(...array_values($this->lines[$file] ?? []))));
        usort($tests, fn (string $a, string $b): int => ($this->reach[$a] ?? 0) <=> ($this->reach[$b] ?? 0));
        $taken = [];
        foreach ($tests as $test) {
            $takes = $this->seconds([$test]);
            if ($taken === [] || $takes < $mostSeconds) {
                $taken[] = $test;
                $mostSeconds -= $takes;
            }
        }

        return $taken;
    }

    /** @param  list<string>  $tests */
    public function seconds(array $tests): float
    {
        return array_sum(array_map(fn (string $test): float => $this->seconds[$test] ?? 0.1, $tests));
    }

    /** A test and its data set by one name, as the coverage gives it. */
    private static function named(string $test): string
    {
        return (string) preg_replace('/ with data set #?"?(.*?)"?$/s', '#$1', $test);
    }
}
