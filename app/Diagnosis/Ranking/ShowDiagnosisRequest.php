<?php

declare(strict_types=1);

namespace App\Diagnosis\Ranking;

use App\Api\Form;
use App\Diagnosis\Findings\InSchool;

final class ShowDiagnosisRequest extends Form
{
    use InSchool;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::school();
    }
}
