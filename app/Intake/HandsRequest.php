<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Foundation\Http\FormRequest;

final class HandsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['on' => ['required', 'boolean']];
    }
}
