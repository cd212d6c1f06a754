<?php

declare(strict_types=1);

namespace App\Stock\Donors;

use App\Api\Form;

final class SalvageRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'position' => ['required', 'string', 'max:60'],
            'part' => ['nullable', 'string', 'max:30'],
            'grade' => ['required', 'string', 'max:10'],
            'note' => ['nullable', 'string', 'max:200'],
            'valueMinor' => ['nullable', 'integer', 'min:0', 'max:100000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'grade.required' => 'A used part is tested or untested; say which.',
        ];
    }
}
