<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Api\Form;

final class RecordFindingsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'findings' => ['required', 'array', 'min:1', 'max:20'],
            'findings.*' => ['required', 'boolean'],
            'check' => ['nullable', 'string', 'max:60'],
            'value' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['findings.required' => 'Which finding? Type two or three letters and choose one.', 'findings.*.boolean' => 'A finding is there (true) or not (false).'];
    }

    /** @return non-empty-array<string, bool> */
    public function findings(): array
    {
        $findings = [];
        foreach ((array) $this->validated('findings') as $code => $present) {
            $findings[(string) $code] = filter_var($present, FILTER_VALIDATE_BOOLEAN);
        }

        return $findings === [] ? ['' => false] : $findings;
    }
}
