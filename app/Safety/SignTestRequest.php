<?php

declare(strict_types=1);

namespace App\Safety;

use App\Api\Form;
use App\Shop\Tablets\Signer;

final class SignTestRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'check' => ['required', 'string', 'max:60'],
            'besideTheSwitch' => ['required', 'string', 'max:120'],
            ...Signer::RULES,
        ];
    }
}
