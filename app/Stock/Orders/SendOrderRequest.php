<?php

declare(strict_types=1);

namespace App\Stock\Orders;

use App\Api\Form;
use App\Api\IsMap;

final class SendOrderRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'supplier' => ['required', 'integer'],
            'packs' => ['required', 'array', 'min:1', 'max:500', new IsMap],
            'packs.*' => ['required', 'integer', 'min:0', 'max:100000'],
            'lessIsRight' => ['boolean'],
            'note' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, int> part number => packs */
    public function packs(): array
    {
        $packs = [];
        foreach ((array) $this->input('packs') as $part => $count) {
            $packs[(string) $part] = is_numeric($count) ? (int) $count : 0;
        }

        return $packs;
    }
}
