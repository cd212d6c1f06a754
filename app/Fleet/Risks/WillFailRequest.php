<?php

declare(strict_types=1);

namespace App\Fleet\Risks;

use App\Api\Form;

final class WillFailRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'weeks' => ['nullable', 'integer', 'in:1,2,4,8'],
            'family' => ['nullable', 'string', 'max:60'],
            'after' => ['nullable', 'string', 'max:60'],
        ];
    }
}
