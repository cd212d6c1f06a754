<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\Form;

final class RecordFindingsRequest extends Form
{
    use InSchool;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'findings' => ['required', 'array', 'min:1', 'max:20'],
            'findings.*' => ['required', 'boolean'],
            'check' => ['nullable', 'string', 'max:60'],
            'checks' => ['nullable', 'array', 'max:5'],
            'checks.*' => ['required', 'string', 'max:60'],
            'value' => ['nullable', 'string', 'max:60'],
            ...self::school(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'findings.required' => 'Which finding? Type two or three letters and choose one.',
            'findings.*.boolean' => 'A finding is there (true) or not (false).',
        ];
    }

    /** @return list<string> the looks that were made: one, or those of a sweep */
    public function checks(): array
    {
        $checks = array_values(array_filter((array) $this->validated('checks'), is_string(...)));
        $one = $this->words('check');

        return $one === null ? $checks : array_values(array_unique([$one, ...$checks]));
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
