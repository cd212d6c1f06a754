<?php

declare(strict_types=1);

namespace OddBench\Stock;

use OddBench\Computation\Computation;
use OddBench\Input\Fields;
use OddBench\Input\InputError;
use OddBench\Units\Quantity;

/**
 * Whether a job can start with what is on the shelf: what is short, what substitutes, when it could start. As many as
 * possible are supplied (maximum matching by augmenting paths, Berge 1957, Ford and Fulkerson 1956): originals first, then
 * substitutes in the order named, and a part already given is given elsewhere when that lets another one be supplied.
 */
final readonly class KitCheck implements Computation
{
    private const MOST_PARTS = 1000;

    private const MOST_SUBSTITUTES = 5000;

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
            $kit[$part] = $of->whole('count', ...Quantity::KitCount->bounds());
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
            $free[$part] = $of->whole('free', ...Quantity::PartCount->bounds());
            $substitutes[$part] = $of->texts('substitutes');
            $due[$part] = $of->has('due') ? $this->day($of->text('due'), "stock.{$i}.due") : null;
            $of->done();
        }
        $fields->done();
        if ($kit === []) {
            throw InputError::at('kit', 'kit is empty: name at least one part and how many of it.');
        }
        $edges = array_sum(array_map(count(...), $substitutes));
        if (count($kit) > self::MOST_PARTS || $edges > self::MOST_SUBSTITUTES) {
            throw InputError::at(
                count($kit) > self::MOST_PARTS ? 'kit' : 'stock',
                sprintf(
                    'A kit of up to %d parts with up to %d substitutes in all is checked; these are %d and %d.',
                    self::MOST_PARTS,
                    self::MOST_SUBSTITUTES,
                    count($kit),
                    $edges,
                ),
            );
        }

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
        $short = fn (int $times): array => array_map(
            static fn (array $s): string => $s['part'],
            $this->check(array_map(static fn (int $count): int => $count * $times, $kit), $free, $substitutes, [])['short'],
        );
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
            while ($count > 0) {
                $seen = [];
                $more = self::supply((string) $part, $count, $free, $substitutes, $given, $seen);
                if ($more === 0) {
                    $short[$part] = $count;
                    break;
                }
                $count -= $more;
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
     * Supplies more of a part by one path, if need be by giving what another part got from somewhere else; as many at once as
     * the path carries (Ford and Fulkerson 1956).
     *
     * @param  int  $want  how many more, from 1 on
     * @param  array<string, int>  $free
     * @param  array<string, list<string>>  $substitutes
     * @param  array<string, array<string, int>>  $given  from => to => count
     * @param  array<string, true>  $seen  sources tried on this path
     * @return int how many were supplied
     */
    private static function supply(string $part, int $want, array &$free, array $substitutes, array &$given, array &$seen): int
    {
        foreach ([$part, ...($substitutes[$part] ?? [])] as $from) {
            if (isset($seen[$from])) {
                continue;
            }
            $seen[$from] = true;
            $moved = min($want, $free[$from] ?? 0);
            if ($moved > 0) {
                $free[$from] -= $moved;
                $given[$from][$part] = ($given[$from][$part] ?? 0) + $moved;

                return $moved;
            }
            foreach ($given[$from] ?? [] as $other => $count) {
                $moved = $count > 0 && $other !== $part ? self::supply($other, min($want, $count), $free, $substitutes, $given, $seen) : 0;
                if ($moved > 0) {
                    $given[$from][$other] -= $moved;
                    $given[$from][$part] = ($given[$from][$part] ?? 0) + $moved;

                    return $moved;
                }
            }
        }

        return 0;
    }

    private function day(string $text, string $field): string
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $found) !== 1
            || ! checkdate((int) $found[2], (int) $found[3], (int) $found[1])) {
            throw InputError::at($field, "“{$text}” is no day; write it as 2026-11-25.");
        }

        return $text;
    }
}
