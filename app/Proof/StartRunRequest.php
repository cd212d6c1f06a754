<?php

declare(strict_types=1);

namespace App\Proof;

use App\Api\Form;

final class StartRunRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'host' => ['required', 'string', 'max:120'],
            'port' => ['required', 'integer', 'min:1', 'max:65535'],
        ];
    }
}
