<?php

declare(strict_types=1);

namespace App\Money\Estimates;

use App\Api\Form;

final class WithdrawRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['because' => ['required', 'string', 'max:300']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['because.required' => 'Why is nobody asked any more?'];
    }
}
