<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\Form;

final class ApplyFileRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'onlySound' => ['required', 'boolean'],
        ];
    }
}
