<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\Form;
use App\Shop\Tablets\Signer;

final class AskTagOffRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'cause' => ['required', 'string', 'max:500'],
            'measurement' => ['required', 'string', 'max:200'],
            ...Signer::RULES,
        ];
    }
}
