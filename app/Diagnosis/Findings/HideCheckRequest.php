<?php

declare(strict_types=1);

namespace App\Diagnosis\Findings;

use App\Api\Form;

final class HideCheckRequest extends Form
{
    use InSchool;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'check' => ['required', 'string', 'max:60'],
            ...self::school(),
        ];
    }
}
