<?php

declare(strict_types=1);

namespace App\Plan\Today;

use App\Api\Form;

final class MoveStepRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'job' => ['required', 'integer'],
            'step' => ['required', 'string', 'max:200'],
            'person' => ['nullable', 'integer'],
            'notBefore' => ['nullable', 'date'],
            'tryOnly' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['step.required' => 'Which step? As the plan calls it.', 'notBefore.date' => 'Not before when? Such as 2026-12-08T10:00:00+01:00.'];
    }
}
