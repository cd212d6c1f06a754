<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Form;
use Illuminate\Validation\Rule;

final class MarkRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', Rule::enum(MarkKind::class)],
            'code' => ['required', 'string', 'max:60'],
            'page' => ['nullable', 'integer', 'min:1', 'max:2000'],
            'x' => ['nullable', 'numeric', 'min:0', 'max:1'],
            'y' => ['nullable', 'numeric', 'min:0', 'max:1'],
        ];
    }
}
