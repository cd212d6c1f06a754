<?php

declare(strict_types=1);

namespace App\Money\Claims;

use App\Api\Day;
use App\Api\Form;

final class ClaimWordRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'saidBy' => ['required', 'string', 'in:we,they'],
            'text' => ['required', 'string', 'max:2000'],
            'saidOn' => ['nullable', new Day],
            'nextOn' => ['nullable', new Day],
        ];
    }
}
