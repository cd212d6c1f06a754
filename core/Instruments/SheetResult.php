<?php

declare(strict_types=1);

namespace OddBench\Instruments;

use OddBench\Knowledge\Gauge;
use OddBench\Knowledge\InstrumentSheet;

/** An instrument’s result as its sheet shows it: lines, the gauge’s zones, the formula with the numbers put in. */
final readonly class SheetResult
{
    /**
     * @param  list<array{label: string, value: string, unit: string}>  $lines
     * @param  array{label: string, unit: string, value: float, from: float, to: float, ok: array{float, float}, watch: array{float, float}}|null  $gauge
     */
    private function __construct(public array $lines, public ?array $gauge, public string $worked)
    {
    }

    /**
     * @param  array<string, mixed>  $input  as the instrument was asked
     * @param  array<string, mixed>  $result
     */
    public static function of(InstrumentSheet $sheet, array $input, array $result): self
    {
        $lines = [];
        foreach ($sheet->shows as $show) {
            $value = self::said($result[$show['key']] ?? null);
            if ($value !== null) {
                $lines[] = ['label' => $show['label'], 'value' => $value, 'unit' => $show['unit']];
            }
        }

        return new self(
            $lines,
            $sheet->gauge === null ? null : self::gauge($sheet->gauge, $input, $result),
            self::worked($sheet->worked, $input, $result),
        );
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<string, mixed>  $result
     * @return array{label: string, unit: string, value: float, from: float, to: float, ok: array{float, float}, watch: array{float, float}}|null
     */
    private static function gauge(Gauge $gauge, array $input, array $result): ?array
    {
        $value = $result[$gauge->key] ?? null;
        if (! is_int($value) && ! is_float($value)) {
            return null;
        }
        $zone = null;
        if ($gauge->about !== null) {
            $middle = self::found($gauge->about, $input);
            if (! is_float($middle) && ! is_int($middle)) {
                return null;
            }
            $zone = [$middle - $gauge->reach, $middle + $gauge->reach];
        }
        $reach = max(abs((float) $value), abs($gauge->from), abs($gauge->to));

        return [
            'label' => $gauge->label,
            'unit' => $gauge->unit,
            'value' => (float) $value,
            'from' => $value < $gauge->from ? -$reach * 1.05 : $gauge->from,
            'to' => $value > $gauge->to ? $reach * 1.05 : $gauge->to,
            'ok' => $zone ?? $gauge->ok,
            'watch' => $zone ?? $gauge->watch,
        ];
    }

    /**
     * @param  array<string, mixed>  $input
     * @param  array<string, mixed>  $result
     */
    private static function worked(string $formula, array $input, array $result): string
    {
        return (string) preg_replace_callback(
            '/\{([a-z0-9_.]+)\}/',
            static fn (array $m): string => self::said($result[$m[1]] ?? self::found($m[1], $input)) ?? '–',
            $formula,
        );
    }

    /** @param  array<array-key, mixed>  $input */
    private static function found(string $key, array $input): mixed
    {
        $value = $input;
        foreach (explode('.', $key) as $step) {
            $value = is_array($value) ? $value[$step] ?? null : null;
        }

        return $value;
    }

    private static function said(mixed $value): ?string
    {
        return match (true) {
            is_int($value), is_float($value) => Said::figure((float) $value),
            is_bool($value) => $value ? 'yes' : 'no',
            is_string($value) => $value,
            default => null,
        };
    }
}
