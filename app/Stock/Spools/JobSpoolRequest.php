<?php

declare(strict_types=1);

namespace App\Stock\Spools;

use App\Api\Form;

final class JobSpoolRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'spool' => ['required', 'string', 'max:12'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'spool.required' => 'Which spool? Scan its label or type its code.',
        ];
    }
}
