<?php

declare(strict_types=1);

namespace Tests\Core\Proof;

use OddBench\Proof\Prints\Bed;
use OddBench\Proof\Run\Plan;
use OddBench\Proof\Run\Run;
use OddBench\Proof\Run\RunStage;
use OddBench\Rig\Fault;
use OddBench\Rig\Numbers;
use OddBench\Rig\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What a run sends, asks and finds on each simulated machine stands in journals/, on virtual time, and changes only on purpose:
 * JOURNALS=write writes it anew, and the difference is read before it is committed. A limit of heat, a hold or a way that moves
 * unnoticed is a danger at a real machine.
 */
final class JournalsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function machines(): iterable
    {
        foreach (['sound', 'delta', 'probed', 'feeder', 'feeder-jammed', 'long', ...array_column(Fault::cases(), 'value')] as $machine) {
            yield $machine => [$machine];
        }
    }

    #[DataProvider('machines')]
    public function test_journals_change_only_on_purpose(string $machine): void
    {
        $lines = $this->journal($machine);
        $file = __DIR__."/journals/{$machine}.txt";
        if (getenv('JOURNALS') === 'write') {
            file_put_contents($file, implode("\n", $lines)."\n");
        }
        self::assertSame(file($file, FILE_IGNORE_NEW_LINES), $lines);
    }

    /** @return list<string> */
    private function journal(string $machine): array
    {
        [$plan, $printer] = $this->set($machine);
        $side = new Bystander($run = new Run($plan), $printer);
        $asked = [];
        $side->watch(until: static function (float $t) use ($run, &$asked): bool {
            if ($run->state === 'asking') {
                $asked["{$run->stage} asks: {$run->want?->text} ".implode(' / ', $run->want->choices ?? [])] = true;
            }

            return false;
        });
        $lines = ["{$run->state}: {$run->said}"];
        foreach ($run->results as $stage => $result) {
            $lines[] = sprintf(
                '%s %s%s: %s%s',
                $stage,
                $result['passed'] ? 'passed' : 'failed',
                $result['danger'] ? ', danger' : '',
                $result['words'],
                $result['finding'] === null ? '' : " [{$result['finding']}]",
            );
        }
        array_push($lines, ...array_keys($asked), ...$this->sent($side->sent));

        return $lines;
    }

    /**
     * Heat, fans and the machine’s own settings line by line; of ways and questions, and of the length of it, how many there were.
     *
     * @return list<string>
     */
    private function sent(string $sent): array
    {
        $lines = [];
        $ways = $asks = 0;
        $between = hash_init('sha1');
        foreach (explode("\n", trim($sent)) as $line) {
            $line = (string) preg_replace(['/^N\d+ ?/', '/\*\d+$/'], '', $line);
            if (preg_match('/^(M105|M27|M114)\b/', $line) === 1) {
                $asks++;

                continue;
            }
            if (preg_match('/^(G[0-3]|M117|G4)\b/', $line) === 1 || preg_match('/^[GMT]\d/', $line) !== 1) {
                $ways++;
                hash_update($between, $line);

                continue;
            }
            if ($ways > 0) {
                $lines[] = sprintf('  %d ways %s', $ways, substr(hash_final(hash_copy($between)), 0, 12));
                $ways = 0;
            }
            $lines[] = $line;
        }

        return [...$lines, sprintf('  %d ways %s, %d questions', $ways, substr(hash_final($between), 0, 12), $asks)];
    }

    /** @return array{Plan, Printer} */
    private function set(string $machine): array
    {
        $fault = Fault::tryFrom($machine);
        if ($fault === Fault::SlotJammed || str_starts_with($machine, 'feeder')) {
            $numbers = Numbers::of('Heron CX', ['feeder' => 'multi', 'motion' => 'corexy']);
            $plan = new Plan(['identify', 'homing', 'slots', 'slot-prints', 'materials'], new Bed(...$numbers->sizeMm), slots: 4);

            return [$plan, new Printer($numbers, $machine === 'feeder' ? [] : [Fault::SlotJammed])];
        }
        if ($machine === 'delta' || $machine === 'probed') {
            $numbers = $machine === 'delta'
                ? Numbers::of('Gannet Delta', ['motion' => 'delta', 'levelling' => 'probe'])
                : Numbers::of('Tern 220 D', ['motion' => 'bedslinger', 'levelling' => 'probe']);
            $bed = new Bed($numbers->sizeMm[0], $numbers->sizeMm[1], $numbers->sizeMm[2], $machine === 'delta');

            return [new Plan(['identify', 'homing', 'travel', 'heat-moving', 'free-air', 'first-layer', 'print'], $bed, probed: true),
                new Printer($numbers)];
        }
        $stages = $machine === 'long' ? ['identify', 'homing', 'long'] : array_values(array_filter(
            array_map(static fn (RunStage $stage): string => $stage->value, RunStage::cases()),
            static fn (string $stage): bool => ! in_array($stage, ['slots', 'slot-prints', 'materials', 'long'], true),
        ));

        return [
            new Plan($stages, bedRiseS: 139.0, holdS: 120.0),
            new Printer(Numbers::of('Tern 220', ['motion' => 'bedslinger', 'bed_supply' => '24 V']), $fault === null ? [] : [$fault], 5),
        ];
    }
}
