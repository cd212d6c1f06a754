<?php

declare(strict_types=1);

namespace App\Stock;

use OddBench\Input\InputError;

/** Why a part is fitted, and what became of the one that sat there. */
final readonly class FitNote
{
    /**
     * @param  bool  $upgrade  it is not what the maker put there
     * @param  'scrap'|'spare'|'seller'|'lost'|null  $oldBecame  nothing when nobody said
     * @param  'tested'|'untested'|null  $oldGrade  of a spare
     */
    public function __construct(public ?string $reason = null, public bool $upgrade = false, public ?string $oldBecame = null, public ?string $oldGrade = null)
    {
        if (($oldBecame === 'spare') !== ($oldGrade !== null)) {
            throw InputError::at('oldGrade', $oldBecame === 'spare' ? 'A spare is tested or untested; say which.' : 'Only a spare has a grade.');
        }
    }
}
