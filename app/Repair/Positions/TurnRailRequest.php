<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\Form;

final class TurnRailRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reason' => ['nullable', 'string', 'max:200'],
        ];
    }
}
