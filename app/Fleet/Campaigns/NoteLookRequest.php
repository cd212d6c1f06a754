<?php

declare(strict_types=1);

namespace App\Fleet\Campaigns;

use App\Api\Form;

final class NoteLookRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tag' => ['required', 'string', 'max:200'],
            'affected' => ['required', 'boolean'],
            'note' => ['nullable', 'string', 'max:200'],
        ];
    }
}
