<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Money\MoneyForm;

final class CloseClaimRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['state' => ['required', 'string', 'in:won,partly,lost,dropped'], 'got' => ['nullable', ...self::SUM]];
    }
}
