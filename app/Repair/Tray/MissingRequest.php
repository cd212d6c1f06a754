<?php

declare(strict_types=1);

namespace App\Repair\Tray;

use App\Api\Form;

final class MissingRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fasteners' => ['required', 'string', 'max:200'],
        ];
    }
}
