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
     */
    private function __construct(private array $lines, private array $seconds)
    {
    }

    public static function read(string $root, string $coverage, string $log): self
    {
        $of = require $coverage;
        if (! $of instanceof CodeCoverage) {
            throw new RuntimeException("{$coverage} is no coverage of PHPUnit");
        }
        $lines = [];
        foreach ($of->getData()->lineCoverage() as $file => $its) {
            foreach ($its as $line => $tests) {
                $lines[substr(
                    (string) $file,
                    strlen($root) + 1,
                )][(int) $line] = array_values(array_unique(array_map(self::method(...), $tests ?? [])));
            }
        }
        $seconds = [];
        $xml = new SimpleXMLElement((string) file_get_contents($log));
        foreach ($xml->xpath('//testcase') ?: [] as $case) {
            $test = self::method("{$case['class']}::{$case['name']}");
            $seconds[$test] = ($seconds[$test] ?? 0.0) + (float) $case['time'];
        }

        return new self($lines, $seconds);
    }

    /** @return list<string> the tests that run a line, the quickest first */
    public function tests(string $file, int $line): array
    {
        $tests = $this->lines[$file][$line] ?? [];
        usort($tests, fn (string $a, string $b): int => ($this->seconds[$a] ?? 0) <=> ($this->seconds[$b] ?? 0));

        return $tests;
    }

    /** @param  list<string>  $tests */
    public function seconds(array $tests): float
    {
        return array_sum(array_map(fn (string $test): float => $this->seconds[$test] ?? 0.1, $tests));
    }

    /** Without its data set. */
    private static function method(string $test): string
    {
        return (string) preg_replace('/(#| with data set ).*$/s', '', $test);
    }
}
