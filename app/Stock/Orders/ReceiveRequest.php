<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Form;

final class ReceiveRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'quantity' => ['required', 'integer', 'min:1', 'max:100000'],
            'packCostMinor' => ['nullable', 'integer', 'min:0', 'max:1000000000'],
            'moreIsRight' => ['boolean'],
            'batch' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['quantity.min' => 'How many pieces came? At least one.'];
    }
}
