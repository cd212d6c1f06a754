<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\Form;

final class AnswerSafetyRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['answers' => ['required', 'array', 'min:1', 'max:30'], 'answers.*' => ['present', 'nullable', 'boolean']];
    }

    /** @return array<string, bool> question => yes */
    public function answers(): array
    {
        $answers = [];
        foreach ((array) $this->validated('answers') as $code => $yes) {
            $answers[(string) $code] = $yes === null ? null : filter_var($yes, FILTER_VALIDATE_BOOLEAN);
        }

        return $answers;
    }
}
