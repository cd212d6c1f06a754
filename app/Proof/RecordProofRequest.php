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
            'note' => ['nullable', 'string', 'max:500'],
            'photograph' => ['nullable', 'integer'],
            'log' => ['nullable', 'string', 'max:2000000'],
            'intervalS' => ['nullable', 'numeric', 'between:0.01,60'],
        ];
    }

    public function evidence(): Evidence
    {
        return new Evidence(
            $this->words('note'),
            $this->wholeOrNull('photograph'),
            $this->words('log'),
            $this->numberOrNull('intervalS') ?? 1.0,
        );
    }
}
