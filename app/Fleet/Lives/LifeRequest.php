<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

use App\Api\Form;

final class LifeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['nullable', 'string', 'max:30'],
            'family' => ['nullable', 'string', 'max:60'],
            'circumstance' => ['nullable', 'string', 'max:60'],
            'ahead' => ['nullable', 'numeric', 'between:1,20000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['ahead.between' => 'Look 1 to 20,000 print hours ahead.'];
    }
}
