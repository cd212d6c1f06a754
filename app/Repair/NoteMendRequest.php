<?php

declare(strict_types=1);

namespace App\Repair;

use Illuminate\Foundation\Http\FormRequest;

final class NoteMendRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fault' => ['nullable', 'string', 'max:60'],
            'done' => ['required', 'string', 'max:2000'],
            'touched' => ['sometimes', 'array', 'max:25'],
            'touched.*' => ['string', 'max:60'],
        ];
    }
}
