<?php

declare(strict_types=1);

namespace App\Stock\Stocktake;

use App\Api\Form;

final class EndStocktakeRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'post' => ['required', 'boolean'],
        ];
    }
}
