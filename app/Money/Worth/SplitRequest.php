<?php

declare(strict_types=1);

namespace App\Money\Worth;

use App\Money\MoneyForm;
use App\Shop\Setting;
use App\Shop\Tablets\Signer;
use OddBench\Money\Price;

final class SplitRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'note' => ['nullable', 'string', 'max:1000'],
            'sold' => ['sometimes', 'array', 'max:10', 'list'],
            'sold.*.name' => ['required', 'string', 'max:160'],
            'sold.*.sum' => ['required', ...self::SUM],
            'version' => ['required', 'integer'],
            ...Signer::RULES,
        ];
    }

    /** @return list<array{name: string, sold: int}> */
    public function sold(): array
    {
        $sold = [];
        foreach (array_values((array) $this->input('sold', [])) as $i => $one) {
            $one = (array) $one;
            $text = static fn (string $key): string => is_scalar($one[$key] ?? null) ? trim((string) $one[$key]) : '';
            $sold[] = ['name' => $text('name'), 'sold' => Price::read($text('sum'), Setting::text('currency'), "sold.{$i}.sum")];
        }

        return $sold;
    }
}
