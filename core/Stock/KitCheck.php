<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * Whether a job can start with what is on the shelf: what is short, what substitutes, when it could start (common
 * practice). Originals go first, then substitutes in the order named; what nobody can give is waited for.
 */
final readonly class KitCheck implements Computation
{
    public function name(): string
    {
        return 'kit-check';
    }

    public function compute(array $input): array
    {
        $fields = Fields::of($input);
        $kit = [];
        foreach ($fields->objects('kit') as $i => $of) {
            $part = $of->text('part');
            if (isset($kit[$part])) {
                throw InputError::at("kit.{$i}.part", "“{$part}” stands twice in the kit; add the counts up.");
            }
            $kit[$part] = $of->whole('count', 1, 1000);
            $of->done();
        }
        $free = [];
        $substitutes = [];
        $due = [];
        foreach ($fields->objects('stock') as $i => $of) {
            $part = $of->text('part');
            if (isset($free[$part])) {
                throw InputError::at("stock.{$i}.part", "“{$part}” stands twice in the stock.");
            }
            $free[$part] = $of->whole('free', 0, 1_000_000);
            $substitutes[$part] = $of->texts('substitutes');
            $due[$part] = $of->has('due') ? $this->day($of->text('due'), "stock.{$i}.due") : null;
            $of->done();
        }
        $fields->done();

        return $this->check($kit, $free, $substitutes, $due);
    }

    /**
     * @param  array<string, int>  $kit  part => count
     * @param  array<string, int>  $free  part => what is free on the shelf
     * @param  array<string, list<string>>  $substitutes  part => parts that do as well
     * @param  array<string, string|null>  $due  part => the day more arrives, as 2026-11-25
     * @return array{can_start: bool, short: list<array{part: string, count: int, due: string|null}>, substitutes: list<array{part: string, by: string, count: int}>, could_start: string|null}
     */
    public function check(array $kit, array $free, array $substitutes, array $due): array
    {
        $short = [];
        foreach ($kit as $part => $count) {
            $own = min($count, $free[$part] ?? 0);
            $free[$part] = ($free[$part] ?? 0) - $own;
            if ($own < $count) {
                $short[$part] = $count - $own;
            }
        }
        $taken = [];
        foreach ($short as $part => $count) {
            foreach ($substitutes[$part] ?? [] as $other) {
                $some = min($count, $free[$other] ?? 0);
                if ($some > 0) {
                    $taken[] = ['part' => $part, 'by' => $other, 'count' => $some];
                    $free[$other] -= $some;
                    $count -= $some;
                }
            }
            $short[$part] = $count;
        }
        $missing = [];
        $could = null;
        $never = false;
        foreach (array_filter($short) as $part => $count) {
            $day = $due[$part] ?? null;
            $missing[] = ['part' => $part, 'count' => $count, 'due' => $day];
            $never = $never || $day === null;
            $could = $day !== null && ($could === null || $day > $could) ? $day : $could;
        }

        return ['can_start' => $missing === [], 'short' => $missing, 'substitutes' => $taken, 'could_start' => $never ? null : $could];
    }

    private function day(string $text, string $field): string
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $found) !== 1 || ! checkdate((int) $found[2], (int) $found[3], (int) $found[1])) {
            throw InputError::at($field, "“{$text}” is no day; write it as 2026-11-25.");
        }

        return $text;
    }
}
