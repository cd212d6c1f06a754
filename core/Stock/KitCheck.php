<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;

/**
 * Whether a job can start with what is on the shelf: what is short, what substitutes, when it could start. As many as
 * possible are supplied (maximum matching by augmenting paths, Kuhn 1955 after Berge 1957): originals first, then
 * substitutes in the order named, and a part already given is given elsewhere when that lets another one be supplied.
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

        return [...$this->check($kit, $free, $substitutes, $due), ...$this->times($kit, $free, $substitutes)];
    }

    /**
     * How often the kit can be made up, and what runs short first.
     *
     * @param  array<string, int>  $kit  part => count
     * @param  array<string, int>  $free  part => what is free on the shelf
     * @param  array<string, list<string>>  $substitutes  part => parts that do as well
     * @return array{times: int, shortest: list<string>} none for an empty kit
     */
    public function times(array $kit, array $free, array $substitutes): array
    {
        $short = fn (int $times): array => array_map(static fn (array $s): string => $s['part'], $this->check(array_map(static fn (int $count): int => $count * $times, $kit), $free, $substitutes, [])['short']);
        $least = 0;
        $most = $kit === [] ? 0 : intdiv(array_sum($free), max(1, array_sum($kit))) + 1;
        // what can be made up twice can be made up once, so it can be halved
        while ($most - $least > 1) {
            $middle = intdiv($least + $most, 2);
            if ($short($middle) === []) {
                $least = $middle;
            } else {
                $most = $middle;
            }
        }

        return ['times' => $least, 'shortest' => $kit === [] ? [] : $short($least + 1)];
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
        $given = [];
        $open = [];
        foreach ($kit as $part => $count) {
            $own = min($count, $free[$part] ?? 0);
            $given[$part][$part] = $own;
            $free[$part] = ($free[$part] ?? 0) - $own;
            $open[$part] = $count - $own;
        }
        $short = [];
        foreach ($open as $part => $count) {
            for ($unit = 0; $unit < $count; $unit++) {
                $seen = [];
                if (! self::supply((string) $part, $free, $substitutes, $given, $seen)) {
                    $short[$part] = $count - $unit;
                    break;
                }
            }
        }
        $taken = [];
        foreach ($kit as $part => $_) {
            foreach ($substitutes[$part] ?? [] as $other) {
                if (($given[$other][$part] ?? 0) > 0) {
                    $taken[] = ['part' => (string) $part, 'by' => $other, 'count' => $given[$other][$part]];
                }
            }
        }
        $missing = [];
        $could = null;
        $never = false;
        foreach ($short as $part => $count) {
            $day = $due[$part] ?? null;
            $missing[] = ['part' => (string) $part, 'count' => $count, 'due' => $day];
            $never = $never || $day === null;
            $could = $day !== null && ($could === null || $day > $could) ? $day : $could;
        }

        return ['can_start' => $missing === [], 'short' => $missing, 'substitutes' => $taken, 'could_start' => $never ? null : $could];
    }

    /**
     * Supplies one more of a part, if need be by giving what another part got from somewhere else.
     *
     * @param  array<string, int>  $free
     * @param  array<string, list<string>>  $substitutes
     * @param  array<string, array<string, int>>  $given  from => to => count
     * @param  array<string, true>  $seen  sources tried on this path
     */
    private static function supply(string $part, array &$free, array $substitutes, array &$given, array &$seen): bool
    {
        foreach ([$part, ...($substitutes[$part] ?? [])] as $from) {
            if (isset($seen[$from])) {
                continue;
            }
            $seen[$from] = true;
            if (($free[$from] ?? 0) > 0) {
                $free[$from]--;
                $given[$from][$part] = ($given[$from][$part] ?? 0) + 1;

                return true;
            }
            foreach ($given[$from] ?? [] as $other => $count) {
                if ($count > 0 && $other !== $part && self::supply($other, $free, $substitutes, $given, $seen)) {
                    $given[$from][$other]--;
                    $given[$from][$part] = ($given[$from][$part] ?? 0) + 1;

                    return true;
                }
            }
        }

        return false;
    }

    private function day(string $text, string $field): string
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $found) !== 1 || ! checkdate((int) $found[2], (int) $found[3], (int) $found[1])) {
            throw InputError::at($field, "“{$text}” is no day; write it as 2026-11-25.");
        }

        return $text;
    }
}
