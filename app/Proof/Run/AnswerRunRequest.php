<?php

declare(strict_types=1);

namespace App\Proof\Run;

use App\Api\Form;

final class AnswerRunRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['answer' => ['required', 'string', 'max:60']];
    }
}
