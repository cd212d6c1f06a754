<?php

declare(strict_types=1);

namespace App\Scan;

use App\Api\Form;

final class ScanRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:200']];
    }
}
