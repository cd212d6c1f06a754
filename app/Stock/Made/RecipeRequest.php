<?php

declare(strict_types=1);

namespace App\Stock\Made;

use App\Api\Form;

final class RecipeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'material' => ['required', 'string', 'max:20'],
            'grams' => ['required', 'numeric', 'min:0', 'max:50000'],
            'pricePerKgMinor' => ['required', 'integer', 'min:0', 'max:10000000'],
            'printMinutes' => ['required', 'numeric', 'min:0', 'max:100000'],
            'handMinutes' => ['required', 'numeric', 'min:0', 'max:10000'],
            'how' => ['nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'grams.min' => 'Grams cannot be below zero.',
        ];
    }
}
