<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Api\Form;

final class ConfirmFaultsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'faults' => ['required', 'array', 'min:1', 'max:10'],
            'faults.*' => ['required', 'string', 'max:60'],
            'version' => ['required', 'integer'],
        ];
    }
}
