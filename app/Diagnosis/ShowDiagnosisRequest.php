<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Api\Form;

final class ShowDiagnosisRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['school' => ['sometimes', 'string', 'in:measure-first,swap-first']];
    }
}
