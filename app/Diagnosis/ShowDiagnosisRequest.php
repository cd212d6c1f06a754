<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Api\Form;

final class ShowDiagnosisRequest extends Form
{
    use InSchool;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::school();
    }
}
