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

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['weeks.in' => 'Looked at is 1, 2, 4 or 8 weeks ahead: weeks must be one of these.'];
    }
}
