<?php

declare(strict_types=1);

namespace App\Shop\Tablets;

use App\Api\Form;

/** A signature and nothing else. */
final class SignRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return Signer::RULES;
    }
}
