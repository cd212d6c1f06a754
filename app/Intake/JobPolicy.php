<?php

declare(strict_types=1);

namespace App\Intake;

use App\Shop\Person;
use App\Shop\Role;
use Illuminate\Auth\Access\Response;

final class JobPolicy
{
    public function bookIn(Person $person): Response
    {
        return $this->allow($person->role->meetsOwners(), 'Your role only looks. A technician, a lead or the counter books machines in.');
    }

    public function edit(Person $person): Response
    {
        return $this->allow($person->role->meetsOwners(), 'Your role only looks. A technician, a lead or the counter changes this.');
    }

    public function work(Person $person): Response
    {
        return $this->allow($person->role->worksAtTheBench(), 'A technician or a lead works on machines; your role does not.');
    }

    public function sendOut(Person $person): Response
    {
        return $this->allow($person->role->meetsOwners(), 'Your role only looks. A technician, a lead or the counter sends machines out.');
    }

    public function countersign(Person $person): Response
    {
        return $this->allow($person->role === Role::Lead, 'This needs a lead’s signature.');
    }

    private function allow(bool $may, string $otherwise): Response
    {
        return $may ? Response::allow() : Response::deny($otherwise);
    }
}
