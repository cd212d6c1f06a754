<?php

declare(strict_types=1);

namespace App\Machines\Owners;

use App\Api\Form;

/** Which owner is meant: one that is known, or a name that was typed. */
final readonly class OwnerChoice
{
    /** What a request takes that names an owner. */
    public const RULES = [
        'ownerId' => ['nullable', 'integer', 'min:1'],
        'ownerName' => ['nullable', 'string', 'max:160'],
        'ownerContact' => ['nullable', 'string', 'max:200'],
        'ownerIsAnother' => ['sometimes', 'boolean'],
    ];

    /** @param  bool  $isAnother  of the same name as one that is known */
    private function __construct(
        public ?int $id,
        public ?string $name,
        public ?string $contact,
        public bool $isAnother,
        public bool $byTable,
    ) {
    }

    public static function of(Form $request): ?self
    {
        $id = $request->wholeOrNull('ownerId');
        $name = $request->words('ownerName');

        return $id === null && $name === null ? null : new self(
            $id,
            $name,
            $request->words('ownerContact'),
            $request->boolean('ownerIsAnother'),
            false,
        );
    }

    /** In a table one name is one owner, where nothing says otherwise. */
    public static function named(string $name, ?string $contact = null): self
    {
        return new self(null, $name, $contact, false, true);
    }
}
