<?php

declare(strict_types=1);

namespace App\Proof;

use App\Api\Form;

final class RecordProofRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'proof' => ['required', 'string', 'max:60'],
            'value' => ['nullable', 'numeric', 'between:-1000000,1000000'],
            'passed' => ['nullable', 'boolean'],
        ];
    }
}
