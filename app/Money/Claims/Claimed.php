<?php

declare(strict_types=1);

namespace App\Money\Claims;

/** What somebody claims, as it is written down. */
final readonly class Claimed
{
    /**
     * @param  'seller'|'maker'|'supplier'  $againstIs
     * @param  'machine'|'part'|'money'  $claims
     * @param  int  $worth  when it is met, minor units
     * @param  int  $effort  to go on claiming, minor units
     * @param  string|null  $deadline  a day; null for the end of the machine’s warranty
     * @param  list<int>  $photographs  ids, of the job
     * @param  list<int>  $findings  ids, of the job
     */
    public function __construct(
        public string $against,
        public string $againstIs,
        public string $claims,
        public string $what,
        public int $worth,
        public int $effort,
        public ?string $deadline,
        public ?string $nextOn,
        public ?string $video,
        public array $photographs,
        public array $findings,
    ) {
    }
}
