<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Api\Form;

/** A PIN of one's own is set with the password. */
final class PinRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['current' => ['required', 'string', 'max:1000'], 'pin' => ['required', 'string', 'max:12']];
    }
}
