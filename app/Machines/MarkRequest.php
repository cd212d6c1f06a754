<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Form;

final class MarkRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', 'in:position,socket'],
            'code' => ['required', 'string', 'max:60'],
            'page' => ['nullable', 'integer', 'min:1', 'max:2000'],
            'x' => ['nullable', 'numeric', 'min:0', 'max:1'],
            'y' => ['nullable', 'numeric', 'min:0', 'max:1'],
        ];
    }
}
