<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Form;

final class StartStocktakeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'bins' => ['nullable', 'string', 'max:12', 'regex:/^[A-Za-z0-9\-]*$/'],
        ];
    }
}
