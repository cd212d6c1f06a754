<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Api\Form;

final class SupersedeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fault' => ['required', 'string', 'max:60'],
            'overturnedBy' => ['nullable', 'string', 'max:60'],
            'version' => ['required', 'integer'],
        ];
    }
}
