<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Money\MoneyForm;

final class LookRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'family' => ['required', 'string', 'max:40'],
            'findings' => ['present', 'array', 'max:40'],
            'findings.*' => ['string', 'max:60'],
            'sells' => ['nullable', ...self::SUM],
            'single' => ['nullable', ...self::SUM],
            'parts' => ['nullable', ...self::SUM],
        ];
    }
}
