<?php

declare(strict_types=1);

namespace App\Shop;

/** What a room does when somebody leaves the shop. */
interface HearsLeaving
{
    public const TAG = 'hears leaving';

    /** Inside the running write. */
    public function left(Person $person): void;
}
