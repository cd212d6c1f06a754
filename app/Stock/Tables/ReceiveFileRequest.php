<?php

declare(strict_types=1);

namespace App\Stock\Tables;

use App\Api\Form;

final class ReceiveFileRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['nullable', 'string', 'max:160'],
        ];
    }
}
