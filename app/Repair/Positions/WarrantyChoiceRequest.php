<?php

declare(strict_types=1);

namespace App\Repair\Positions;

use App\Api\Form;

final class WarrantyChoiceRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'choice' => ['required', 'string', 'in:claim,mend'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
