<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Foundation\Http\FormRequest;

final class ScanRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:200']];
    }
}
