<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\Form;

final class RecordReadingRequest extends Form
{
    use InSchool;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['check' => ['required', 'string', 'max:60'], 'value' => ['required', 'numeric'], ...self::school()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['value.required' => 'Type the measured value.', 'value.numeric' => 'The measured value is a number, for example 81.5.'];
    }
}
