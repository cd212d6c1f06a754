<?php

declare(strict_types=1);

namespace App\Shop;

/** What somebody is here to do, and so what they may. */
enum Role: string
{
    case Technician = 'technician';
    case Lead = 'lead';
    case Counter = 'counter';
    case ReadOnly = 'read-only';

    /** Works on machines: makes safe, finds, fixes, proves. */
    public function worksAtTheBench(): bool
    {
        return $this === self::Technician || $this === self::Lead;
    }

    /** Takes machines in and hands them out. */
    public function meetsOwners(): bool
    {
        return $this !== self::ReadOnly;
    }
}
