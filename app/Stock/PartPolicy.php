<?php

declare(strict_types=1);

namespace App\Stock;

use App\Shop\Person;
use Illuminate\Auth\Access\Response;

final class PartPolicy
{
    public function move(Person $person): Response
    {
        return $person->role->meetsOwners() ? Response::allow() : Response::deny('Your role only looks. A technician, a lead or the counter moves stock.');
    }
}
