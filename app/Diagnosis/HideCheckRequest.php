<?php

declare(strict_types=1);

namespace App\Diagnosis;

use Illuminate\Foundation\Http\FormRequest;

final class HideCheckRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'check' => ['required', 'string', 'max:60'],
        ];
    }
}
