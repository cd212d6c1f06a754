<?php

declare(strict_types=1);

namespace App\Shop;

/** What somebody may do here; every write asks for one of these. */
enum Ability: string
{
    case BookIn = 'bookIn';
    case Edit = 'edit';
    case Work = 'work';
    case SendOut = 'sendOut';
    case Countersign = 'countersign';
    case MoveStock = 'moveStock';
    case SeeOwners = 'seeOwners';
    case KeepBooks = 'keepBooks';
    case SeeMoney = 'seeMoney';
    case RunShop = 'runShop';

    public function of(Role $role, bool $seesMoney = false): bool
    {
        return match ($this) {
            self::SeeMoney => $role === Role::Lead || $role === Role::Counter || ($seesMoney && $role->meetsOwners()),
            self::BookIn, self::Edit, self::SeeOwners, self::SendOut, self::MoveStock => $role->meetsOwners(),
            self::Work => $role->worksAtTheBench(),
            self::KeepBooks => $role === Role::Lead || $role === Role::Counter,
            self::Countersign, self::RunShop => $role === Role::Lead,
        };
    }

    /** What somebody is told who may not. */
    public function refusal(): string
    {
        return match ($this) {
            self::BookIn => 'Your role only looks. A technician, a lead or the counter books machines in.',
            self::Edit => 'Your role only looks. A technician, a lead or the counter changes this.',
            self::Work => 'A technician or a lead works on machines; your role does not.',
            self::SendOut => 'Your role only looks. A technician, a lead or the counter sends machines out.',
            self::Countersign => 'This needs a lead’s signature.',
            self::MoveStock => 'Your role only looks. A technician, a lead or the counter moves stock.',
            self::SeeOwners => 'Your role only looks. Who owners are, and what things cost, is not shown to it.',
            self::KeepBooks => 'Prices, stocktakes and tables of stock are posted by a lead or the counter.',
            self::SeeMoney => 'What things cost and bring is shown to leads and the counter, and to whom a lead says so.',
            self::RunShop => 'People and settings are a lead’s to change.',
        };
    }
}
