<?php

declare(strict_types=1);

namespace App\Stock\Parts;

use App\Api\Form;
use App\Api\IsMap;

final class ChangePartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'name' => ['required', 'string', 'max:160'],
            'class' => ['required', 'string', 'max:40'],
            'words' => ['nullable', 'string', 'max:300'],
            'notes' => ['nullable', 'string', 'max:2000'],
            'families' => ['present', 'array', 'max:40'],
            'families.*' => ['required', 'string', 'max:60'],
            'positions' => ['present', 'array', 'max:60'],
            'positions.*' => ['required', 'string', 'max:60'],
            'traits' => ['nullable', 'array', 'max:20', new IsMap],
            'traits.*' => ['required', 'string', 'max:40'],
            'shelfLifeWeeks' => ['nullable', 'integer', 'min:1', 'max:1040'],
        ];
    }
}
