<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Api\Form;

final class TakeOverRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['person' => ['required', 'integer', 'min:1'], 'pin' => ['required', 'string', 'max:12']];
    }
}
