<?php

declare(strict_types=1);

namespace App\Knowledge\Families;

use Illuminate\Support\Facades\DB;

/** The families a shop keeps in its database, over those that are shipped. */
final readonly class OwnFamilies
{
    /** @param  bool  $kept  there is a database to ask; a command that only computes has none */
    public function __construct(private bool $kept)
    {
    }

    /** @return array<string, string> code => YAML */
    public function all(): array
    {
        $all = [];
        foreach ($this->print() === '' ? [] : OwnFamily::query()->orderBy('code')->get() as $family) {
            $all[$family->code] = $family->yaml;
        }

        return $all;
    }

    /** Changes when any of them does. Where the database is away, or older than this, there is none. */
    public function print(): string
    {
        // a question that fails would spoil the transaction it stands in
        if (! $this->kept || DB::transactionLevel() > 0 && DB::scalar("SELECT to_regclass('families')") === null) {
            return '';
        }
        $row = rescue(
            static fn (): mixed => DB::selectOne('SELECT count(*) AS families, max(updated_at) AS last FROM families'),
            report: false,
        );

        return is_object($row) ? "{$row->families} {$row->last}" : '';
    }
}
