<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Money\MoneyForm;

final class BuyRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'paid' => ['required', ...self::SUM],
            'serial' => ['nullable', 'string', 'max:60'],
            'overMost' => ['sometimes', 'boolean'],
            'version' => ['required', 'integer'],
        ];
    }
}
