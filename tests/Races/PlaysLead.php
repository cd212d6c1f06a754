<?php

declare(strict_types=1);

namespace Tests\Races;

use App\Shop\Person;
use App\Shop\Role;

/** A lead acts in the scenes, and another one when that is asked for. */
trait PlaysLead
{
    private ?Person $lead = null;

    abstract protected function person(Role $role = Role::Technician): Person;

    public function lead(): Person
    {
        $this->lead ??= $this->person(Role::Lead);
        $this->actingAs($this->lead);

        return $this->lead;
    }

    public function another(): void
    {
        $this->actingAs($this->person(Role::Lead));
    }
}
