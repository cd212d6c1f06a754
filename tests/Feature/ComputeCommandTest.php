<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** `compute` as a script calls it: JSON in, JSON out, an exit code, nothing else. */
final class ComputeCommandTest extends TestCase
{
    public function test_it_lists_what_it_can(): void
    {
        [$code, $out] = $this->compute('', '--list');

        self::assertSame(0, $code);
        self::assertSame(
            implode("\n", [
                'bed-plane', 'belt-tension', 'bench-plan', 'bid-cap', 'campaign', 'charge', 'claim-value', 'complaint', 'contact-resistance',
                'cost-split', 'diagnose', 'estimate', 'failure-risk', 'fastener', 'filament', 'first-layer', 'flex-slab', 'gcode', 'heater',
                'hours-now', 'kit-check', 'planned-change', 'pluck-frequency', 'promise-date', 'proof-plan', 'relay-tune', 'reorder', 'repair-value',
                'runaway-test', 'spares-forecast', 'squareness', 'steps', 'steps-ahead', 'storage-due', 'teardown', 'thermal-log', 'thermistor',
                'trend', 'trials', 'wear-life', 'wire',
            ])."\n",
            $out,
        );
    }

    public function test_it_computes_without_a_database(): void
    {
        [$code, $out] = $this->compute(
            '{"traits":{"hotend":"lined"},"findings":{"jams-when-warm":"present","break-fan-dead":"present"}}',
            'diagnose',
        );

        self::assertSame(0, $code);
        $result = json_decode($out, true, 64, JSON_THROW_ON_ERROR);
        self::assertSame('break-fan-failed', $result['faults'][0]['code']);
        self::assertSame(['faults', 'explained', 'unexplained', 'none', 'safety', 'next'], array_keys($result));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function bad(): iterable
    {
        yield 'no JSON' => ['{"type":', 'steps', 'input'];
        yield 'a list' => ['[]', 'steps', 'input'];
        yield 'nothing' => ['', 'steps', 'input'];
        yield 'an empty object' => ['{}', 'steps', 'type'];
        yield 'no such computation' => ['{}', 'step', 'name'];
        yield 'unknown finding' => ['{"findings":{"strngs":"present"}}', 'diagnose', 'findings.strngs'];
        yield 'unknown key' => ['{"touch":["bed"]}', 'proof-plan', 'touch'];
    }

    #[DataProvider('bad')]
    public function test_bad_input_exits_2_with_the_field(string $input, string $name, string $field): void
    {
        [$code, $out, $err] = $this->compute($input, $name);

        self::assertSame(2, $code);
        self::assertSame($field, json_decode($out, true)['error']['field'] ?? $out);
        self::assertSame('', $err);
    }

    /** @return array{int, string, string} exit code, standard output, standard error */
    private function compute(string $input, string $argument): array
    {
        $process = proc_open(
            [PHP_BINARY, 'artisan', 'odd-bench:compute', $argument],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 2),
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $out, $err];
    }
}
