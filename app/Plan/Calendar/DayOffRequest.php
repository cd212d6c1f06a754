<?php

declare(strict_types=1);

namespace App\Plan\Calendar;

use App\Api\Day;
use App\Api\Form;

final class DayOffRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'person' => ['nullable', 'integer'],
            'first' => ['required', new Day],
            'last' => ['nullable', new Day],
            'from' => ['nullable', 'string', 'max:5'],
            'to' => ['nullable', 'string', 'max:5'],
            'why' => ['required', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['first.required' => 'From which day on?', 'why.required' => 'Why? A word is enough, such as “holiday”.'];
    }
}
