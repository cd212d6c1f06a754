<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** How a part’s life in a position ended. One that was changed while it still worked says only that it lasted so long. */
enum LifeEnd: string
{
    case Failed = 'failed';
    case Worked = 'worked';

    /**
     * What is said by whoever changed it goes before all. Where nothing is said: it failed when its job confirmed a fault that takes
     * such a part, and was not kept, nor changed for a better one.
     *
     * @param  self|null  $said  by whoever took it out
     * @param  bool  $takesPart  a fault was confirmed in the job whose mend takes a part of this class
     * @param  bool  $kept  as a spare
     * @param  bool  $upgrade  it went for another kind of part
     */
    public static function of(?self $said, bool $takesPart, bool $kept, bool $upgrade): self
    {
        return $said ?? ($takesPart && ! $kept && ! $upgrade ? self::Failed : self::Worked);
    }
}
