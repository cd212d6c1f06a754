<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Form;

final class SupplierRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'supplier' => ['required', 'string', 'max:120'],
            'contact' => ['nullable', 'string', 'max:200'],
            'leadDays' => ['required', 'integer', 'min:0', 'max:365'],
            'minimumMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'freightMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
            'number' => ['nullable', 'string', 'max:60'],
            'prefer' => ['boolean'],
            'pack' => ['required', 'integer', 'min:1', 'max:100000'],
            'packCostMinor' => ['required', 'integer', 'min:0', 'max:1000000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'supplier.required' => 'Who sells it?',
            'leadDays.required' => 'How many days does it take, as the supplier says?',
            'pack.required' => 'How many are in a pack? 1 when it is sold singly.',
            'pack.min' => 'A pack holds at least one.', 'packCostMinor.required' => 'What does a pack cost?',
        ];
    }
}
