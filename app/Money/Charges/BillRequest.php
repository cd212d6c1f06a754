<?php

declare(strict_types=1);

namespace App\Money\Charges;

use App\Money\MoneyForm;

final class BillRequest extends MoneyForm
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'minutesOut' => ['required', 'numeric', 'between:0,100000'],
            'freight' => ['nullable', ...self::SUM],
            'freeBecause' => ['nullable', 'string', 'max:300'],
            'overAgreed' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutesOut.numeric' => 'How many minutes are left out? A number, 0 for none.'];
    }
}
