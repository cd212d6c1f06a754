<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\Form;

final class RackRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'shelves' => ['required', 'integer', 'between:1,12'],
            'places' => ['required', 'integer', 'between:1,40'],
            'version' => [$this->isMethod('PUT') ? 'required' : 'prohibited', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'What is it called? As in “Row A, window”.',
            'shelves.between' => 'A rack has 1 to 12 shelves.',
            'places.between' => 'A shelf has 1 to 40 places.',
        ];
    }
}
