<?php

declare(strict_types=1);

namespace App\Stock\Shelf;

use OddBench\Fleet\LifeEnd;
use OddBench\Input\InputError;

/** Why a part is fitted, and what became of the one that sat there. */
final readonly class FitNote
{
    /**
     * @param  bool  $upgrade  it is not what the maker put there
     * @param  bool  $allTheSame  it is fitted on purpose though it is not what belongs there; the reason says why
     * @param  'scrap'|'spare'|'seller'|'lost'|null  $oldBecame  nothing when nobody said
     * @param  'tested'|'untested'|null  $oldGrade  of a spare
     * @param  LifeEnd|null  $oldEnded  whether the old one had failed; nothing when nobody said
     * @param  float|null  $hadHours  hours a used one had before it came here
     */
    public function __construct(
        public ?string $reason = null,
        public bool $upgrade = false,
        public ?string $oldBecame = null,
        public ?string $oldGrade = null,
        public bool $allTheSame = false,
        public ?LifeEnd $oldEnded = null,
        public ?float $hadHours = null,
    ) {
        if ($allTheSame && mb_strlen(trim((string) $reason)) < 3) {
            throw InputError::at('reason', 'All the same, because …: say why it goes there. Whoever opens this machine next reads it.');
        }
        if (($oldBecame === 'spare') !== ($oldGrade !== null)) {
            throw InputError::at(
                'oldGrade',
                $oldBecame === 'spare' ? 'A spare is tested or untested; say which.' : 'Only a spare has a grade.',
            );
        }
    }
}
