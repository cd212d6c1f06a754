<?php

declare(strict_types=1);

namespace App\Shop\Tokens;

use App\Api\Form;
use App\Shop\Ability;
use Illuminate\Validation\Rule;

final class TokenRequest extends Form
{
    /** What a script may be given: nothing that is signed, and nothing of people and settings. */
    public const MAY = [
        Ability::BookIn,
        Ability::Edit,
        Ability::Work,
        Ability::MoveStock,
        Ability::SeeOwners,
        Ability::KeepBooks,
        Ability::SeeMoney,
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'person' => ['required', 'integer', 'min:1'],
            'rights' => ['present', 'array', 'max:10'],
            'rights.*' => ['string', Rule::in(array_column(self::MAY, 'value'))],
            'days' => ['required', 'integer', 'between:1,730'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Which script is it for?',
            'days.between' => 'A token is good for 1 to 730 days.',
            'rights.*.in' => 'A script signs nothing, and changes neither people nor settings.',
        ];
    }

    /** @return list<string> */
    public function rights(): array
    {
        return array_values(array_filter((array) $this->input('rights'), is_string(...)));
    }
}
