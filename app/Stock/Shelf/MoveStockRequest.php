<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use App\Api\Form;
use Illuminate\Validation\Rule;

final class MoveStockRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', Rule::in(['received', 'counted', 'scrapped', 'moved'])],
            'quantity' => ['required', 'integer', 'min:0', 'max:100000'],
            'unitCostMinor' => ['required_if:kind,received', 'nullable', 'integer', 'min:0', 'max:100000000'],
            'costIsRight' => ['boolean'],
            'bin' => ['nullable', 'string', 'max:12', 'regex:/^[A-Za-z0-9][A-Za-z0-9\-]*$/'],
            'toBin' => ['required_if:kind,moved', 'nullable', 'string', 'max:12', 'regex:/^[A-Za-z0-9][A-Za-z0-9\-]*$/'],
            'batch' => ['nullable', 'string', 'max:40'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'unitCostMinor.required_if' => 'What did one cost?',
            'unitCostMinor.min' => 'A price cannot be below zero.',
            'toBin.required_if' => 'Into which bin?',
            'toBin.regex' => 'A bin is made of letters, digits and dashes, such as C4.',
            'quantity.min' => 'A quantity cannot be below zero.',
        ];
    }
}
