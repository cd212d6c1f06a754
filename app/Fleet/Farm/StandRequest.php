<?php

declare(strict_types=1);

namespace App\Fleet\Farm;

use App\Api\Form;

final class StandRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tag' => ['required', 'string', 'max:200'],
            'rack' => ['nullable', 'integer', 'min:1'],
            'shelf' => ['required_with:rack', 'nullable', 'integer', 'between:1,12'],
            'place' => ['required_with:rack', 'nullable', 'integer', 'between:1,40'],
            'swap' => ['sometimes', 'boolean'],
        ];
    }
}
