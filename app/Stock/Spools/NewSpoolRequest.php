<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Day;
use App\Api\Form;

final class NewSpoolRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'material' => ['required', 'string', 'max:20'],
            'colour' => ['nullable', 'string', 'max:40'],
            'lot' => ['nullable', 'string', 'max:40'],
            'netG' => ['required', 'numeric', 'min:10', 'max:20000'],
            'emptyG' => ['required', 'numeric', 'min:0', 'max:5000'],
            'pricePerKgMinor' => ['nullable', 'integer', 'min:0', 'max:10000000'],
            'madeOn' => ['bail', 'nullable', new Day, 'before_or_equal:today'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'netG.min' => 'How many grams of filament were on it when it was new?',
        ];
    }
}
