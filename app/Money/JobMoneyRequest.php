<?php

declare(strict_types=1);

namespace App\Money;

final class JobMoneyRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['sellsAt' => ['nullable', ...self::SUM], 'asIs' => ['nullable', ...self::SUM]];
    }
}
