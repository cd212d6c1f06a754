<?php

declare(strict_types=1);

namespace App\Machines\Families;

use App\Api\Form;
use App\Api\IsMap;

/** The content of a family’s file; what is right in it the validator of the knowledge says. */
final class FamilyRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['content' => ['required', 'array', 'max:20', new IsMap]];
    }

    /** @return array<mixed> without what is empty: what is not said is not known */
    public function content(): array
    {
        return array_filter(
            (array) $this->input('content'),
            static fn (mixed $value): bool => $value !== null && $value !== '' && $value !== [],
        );
    }
}
