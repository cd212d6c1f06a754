<?php

declare(strict_types=1);

namespace App\Safety;

use Illuminate\Foundation\Http\FormRequest;

final class PutOnRedTagRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:500'],
        ];
    }
}
