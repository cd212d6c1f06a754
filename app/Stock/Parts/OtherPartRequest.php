<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\Form;

final class OtherPartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'other' => ['required', 'string', 'max:30'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'other.required' => 'Which part? Give its number.',
        ];
    }
}
