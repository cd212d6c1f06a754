<?php

declare(strict_types=1);

namespace App\Repair\Guides;

use App\Api\Form;

final class StartGuideRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'guide' => ['required', 'string', 'max:60'],
            'school' => ['nullable', 'string', 'max:80'],
        ];
    }
}
