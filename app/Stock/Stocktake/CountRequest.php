<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Form;

final class CountRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['required', 'string', 'max:30'],
            'counted' => ['required', 'integer', 'min:0', 'max:1000000'],
            'afterMoves' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'counted.required' => 'How many are there? 0 when there is none.',
            'counted.integer' => 'Pieces are whole.',
            'counted.min' => 'A count cannot be below zero.',
        ];
    }
}
