<?php

declare(strict_types=1);

namespace OddBench\Proof\Run;

/** Samples in twelve bytes each: tenths of seconds within their minute, temperatures in tenths of a degree, both powers. */
final class Packed
{
    private const BYTES = 12;

    /** @param  list<Sample>  $samples  of one minute */
    public static function pack(array $samples): string
    {
        $bytes = '';
        foreach ($samples as $s) {
            $bytes .= pack(
                'vvvvvCC',
                (int) round(fmod($s->t, 60) * 10),
                self::tenths($s->hotend),
                self::tenths($s->hotendTarget),
                self::tenths($s->bed),
                self::tenths($s->bedTarget),
                self::power($s->hotendPower),
                self::power($s->bedPower),
            );
        }

        return $bytes;
    }

    /** @return list<Sample> */
    public static function unpack(string $bytes, int $minute): array
    {
        $samples = [];
        foreach (str_split($bytes, self::BYTES) as $one) {
            $v = strlen($one) === self::BYTES ? unpack('v5w/C2p', $one) : false;
            if ($v === false) {
                continue;
            }
            $word = static fn (string $key): float => is_int($v[$key] ?? null) ? (float) $v[$key] : 0.0;
            $c = static fn (int $i): float => $word("w{$i}") / 10 - 100;
            $power = static fn (int $i): ?float => $word("p{$i}") > 200 ? null : $word("p{$i}") / 200;
            $samples[] = new Sample($minute * 60 + $word('w1') / 10, $c(2), $c(3), $c(4), $c(5), $power(1), $power(2));
        }

        return $samples;
    }

    /**
     * Few enough to draw, with what stands out kept: of each stretch the coldest and the hottest of both heaters. Only those
     * are unpacked, so that twelve hours are read in a moment.
     *
     * @param  array<int, string>  $minutes  minute => its samples as packed, in order
     * @param  int  $most  4 or more
     * @return list<Sample>
     */
    public static function thinned(array $minutes, int $most): array
    {
        $all = array_sum(array_map(static fn (string $bytes): int => intdiv(strlen($bytes), self::BYTES), $minutes));
        $every = $all <= $most ? 1 : (int) ceil($all / intdiv($most, 4));
        $kept = [];
        $in = 0;
        /** @var array<int, array{int, int, int}> $ends coldest and hottest hot end, coldest and hottest bed: word, minute and place */
        $ends = [];
        foreach ($minutes as $minute => $bytes) {
            // five words and two bytes each make six words
            /** @var list<int> $words */
            $words = array_values(unpack('v*', substr($bytes, 0, strlen($bytes) - strlen($bytes) % self::BYTES)) ?: []);
            for ($i = 0, $n = count($words); $i < $n; $i += 6) {
                foreach ([[0, 1, -1], [1, 1, 1], [2, 3, -1], [3, 3, 1]] as [$end, $offset, $sign]) {
                    if (! isset($ends[$end]) || $sign * $words[$i + $offset] > $sign * $ends[$end][0]) {
                        $ends[$end] = [$words[$i + $offset], $minute, $i];
                    }
                }
                if (++$in === $every) {
                    array_push($kept, ...self::ends($ends, $minutes));
                    [$in, $ends] = [0, []];
                }
            }
        }

        return [...$kept, ...self::ends($ends, $minutes)];
    }

    /**
     * @param  array<int, array{int, int, int}>  $ends
     * @param  array<int, string>  $minutes
     * @return list<Sample> in the order of time, none twice
     */
    private static function ends(array $ends, array $minutes): array
    {
        $places = [];
        foreach ($ends as [, $minute, $place]) {
            $places[sprintf('%09d.%06d', $minute, $place)] = [$minute, $place];
        }
        ksort($places);

        return array_merge(
            [],
            ...array_values(array_map(
                static fn (array $at): array => self::unpack(substr($minutes[$at[0]], 2 * $at[1], self::BYTES), $at[0]),
                $places,
            )),
        );
    }

    /** From −100 °C on. */
    private static function tenths(float $c): int
    {
        return max(0, min(65_535, (int) round(($c + 100) * 10)));
    }

    private static function power(?float $share): int
    {
        return $share === null ? 255 : max(0, min(200, (int) round($share * 200)));
    }
}
