<?php

declare(strict_types=1);

namespace App\Diagnosis\Trials;

use App\Api\Form;
use App\Api\IsMap;

final class AddTrialRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'settings' => ['required', 'array', 'min:1', 'max:20', new IsMap],
            'settings.*' => ['required', 'string', 'max:60'],
            'rating' => ['required', 'integer', 'between:1,5'],
            'stopped' => ['sometimes', 'boolean'],
            'bandFromMm' => ['nullable', 'numeric', 'between:0,5000', 'required_with:bandToMm'],
            'bandToMm' => ['nullable', 'numeric', 'between:0,5000', 'gt:bandFromMm', 'required_with:bandFromMm'],
            'note' => ['nullable', 'string', 'max:200'],
            'photograph' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'settings.required' => 'What was set? Name at least one setting and its value.',
            'settings.*.required' => 'Give each setting a value, or leave it out.',
            'rating.required' => 'How well did it come out? Rate it from 1 (bad) to 5 (well).',
            'rating.between' => 'Rate it from 1 (bad) to 5 (well).',
            'bandToMm.gt' => 'The band must end above where it begins.',
        ];
    }

    /** @return array<string, float|string> numbers as numbers, with a decimal comma or point */
    public function settings(): array
    {
        $settings = [];
        foreach ((array) $this->validated('settings') as $name => $value) {
            $value = trim((string) $value);
            $number = str_replace(',', '.', $value);
            $settings[mb_substr(trim((string) $name), 0, 40)] = preg_match('/^-?\d+(\.\d+)?$/', $number) === 1 ? (float) $number : $value;
        }

        return $settings;
    }
}
