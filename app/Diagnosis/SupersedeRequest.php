<?php

declare(strict_types=1);

namespace App\Diagnosis;

use Illuminate\Foundation\Http\FormRequest;

final class SupersedeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fault' => ['required', 'string', 'max:60'],
            'overturnedBy' => ['nullable', 'string', 'max:60'],
            'version' => ['required', 'integer'],
        ];
    }
}
