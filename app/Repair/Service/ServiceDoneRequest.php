<?php

declare(strict_types=1);

namespace App\Repair\Service;

use App\Api\Form;

final class ServiceDoneRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'item' => ['required', 'string', 'max:60'],
        ];
    }
}
