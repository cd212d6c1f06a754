<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\Form;
use App\Machines\Owners\OwnerChoice;
use Illuminate\Validation\Rule;

final class ChangeMachineRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'family' => ['required', 'string', 'max:40'],
            'serial' => ['nullable', 'string', 'max:80'],
            'heldAs' => ['required', 'string', Rule::enum(HeldAs::class)],
            ...OwnerChoice::RULES,
            'place' => ['required', 'string', Rule::enum(Place::class)],
            'printerHost' => ['nullable', 'string', 'max:120'],
            'printerPort' => ['nullable', 'integer', 'between:1,65535'],
            'notes' => ['nullable', 'string', 'max:2000'],
            'printsAbrasive' => ['sometimes', 'boolean'],
            'printsHot' => ['sometimes', 'boolean'],
            'seen' => ['required', 'string', 'max:40'],
        ];
    }

    public function change(): MachineChange
    {
        /** @var 'owner'|'farm'|'resale' $heldAs */
        $heldAs = $this->string('heldAs')->toString();

        return new MachineChange(
            $this->string('family')->toString(),
            $this->words('serial'),
            $heldAs,
            OwnerChoice::of($this),
            Place::from($this->string('place')->toString()),
            $this->words('printerHost'),
            $this->wholeOrNull('printerPort'),
            $this->words('notes'),
            $this->has('printsAbrasive') ? $this->boolean('printsAbrasive') : null,
            $this->has('printsHot') ? $this->boolean('printsHot') : null,
        );
    }
}
