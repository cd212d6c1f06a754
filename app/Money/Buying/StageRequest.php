<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Money\MoneyForm;

final class StageRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['outcome' => ['required', 'string', 'in:passed,failed,stopped'], 'real' => ['required', ...self::SUM]];
    }
}
