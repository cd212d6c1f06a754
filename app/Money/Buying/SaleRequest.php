<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Money\MoneyForm;

final class SaleRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['price' => ['required', ...self::SUM], 'belowParts' => ['sometimes', 'boolean']];
    }
}
