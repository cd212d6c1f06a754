<?php

declare(strict_types=1);

namespace App\Money;

use App\Api\Form;
use App\Shop\Setting;
use OddBench\Input\InputError;
use OddBench\Money\Price;

/** A request with sums in it, as people write them. */
abstract class MoneyForm extends Form
{
    protected const SUM = ['string', 'max:40'];

    /** @throws InputError at the key when it is no sum of the shop’s currency */
    public function sum(string $key): int
    {
        return Price::read($this->string($key)->toString(), Setting::text('currency'), $key);
    }

    /** @throws InputError at the key when it is there and no sum */
    public function sumOrNull(string $key): ?int
    {
        return $this->filled($key) ? $this->sum($key) : null;
    }
}
