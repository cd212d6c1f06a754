<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Api\Form;

final class CompareRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['position' => ['nullable', 'string', 'max:60']];
    }
}
