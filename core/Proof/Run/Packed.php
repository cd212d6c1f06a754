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
            $bytes .= pack('vvvvvCC', (int) round(fmod($s->t, 60) * 10), self::tenths($s->hotend), self::tenths($s->hotendTarget), self::tenths($s->bed), self::tenths($s->bedTarget), self::power($s->hotendPower), self::power($s->bedPower));
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
     * Few enough to draw, with what stands out kept: of each stretch the coldest and the hottest of the hot end.
     *
     * @param  list<Sample>  $samples
     * @return list<Sample>
     */
    public static function thinned(array $samples, int $most): array
    {
        $n = count($samples);
        if ($n <= $most) {
            return $samples;
        }
        $every = (int) ceil($n / ($most / 2));
        $kept = [];
        for ($i = 0; $i < $n; $i += $every) {
            $stretch = array_slice($samples, $i, $every);
            usort($stretch, static fn (Sample $a, Sample $b): int => $a->hotend <=> $b->hotend);
            $ends = [$stretch[0], $stretch[count($stretch) - 1]];
            usort($ends, static fn (Sample $a, Sample $b): int => $a->t <=> $b->t);
            array_push($kept, ...$ends);
        }

        return $kept;
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
