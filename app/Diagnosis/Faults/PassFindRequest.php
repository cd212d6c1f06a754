<?php

declare(strict_types=1);

namespace App\Diagnosis\Faults;

use App\Api\Form;

final class PassFindRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:500'],
            'version' => ['required', 'integer'],
        ];
    }
}
