<?php

declare(strict_types=1);

namespace App\Stock\Tables;

/** What becomes of a row of a table that comes in. */
final readonly class RowFate
{
    /** @param  'new'|'changed'|'same'|'moves'|'odd'|'wrong'  $fate  odd: it can be, but is rather a slip */
    public function __construct(public string $fate, public string $what, public string $message = '', public ?string $field = null)
    {
    }
}
