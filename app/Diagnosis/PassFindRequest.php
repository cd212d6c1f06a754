<?php

declare(strict_types=1);

namespace App\Diagnosis;

use Illuminate\Foundation\Http\FormRequest;

final class PassFindRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:500'],
            'version' => ['required', 'integer'],
        ];
    }
}
