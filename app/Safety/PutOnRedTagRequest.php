<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\Form;

final class PutOnRedTagRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:500'],
        ];
    }
}
