<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Form;

final class ExplainRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'because' => ['required', 'string', 'max:1000'],
        ];
    }
}
