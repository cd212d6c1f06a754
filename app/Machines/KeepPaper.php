<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\DrawAnew;
use App\Api\KeptFile;
use App\Shop\Person;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;

/** Keeps manuals, maps and drawings of a family, and what is marked on them. */
final readonly class KeepPaper
{
    public const PDF = 'application/pdf';

    private const MOST_BYTES = 32 * 1024 * 1024;

    public function __construct(private Knowledge $knowledge, private DrawAnew $draw)
    {
    }

    /** @throws InputError when it is neither a PDF nor a picture */
    public function keep(string $family, string $title, string $bytes, Person $by): Paper
    {
        $code = $this->knowledge->family($family)->code;
        $title = trim($title);
        if ($title === '' || mb_strlen($title) > 160) {
            throw InputError::at('title', 'Give the paper a title of up to 160 characters, such as “connector map”.');
        }
        if (strlen($bytes) > self::MOST_BYTES) {
            throw InputError::at('file', 'The paper is larger than 32 MB. Save it smaller, or only the pages that are needed.');
        }
        $pdf = str_starts_with($bytes, '%PDF-');
        $kept = $pdf ? $bytes : $this->draw->jpeg($bytes, 'file', 2400);
        $path = sprintf('papers/%s/%s.%s', $code, sha1($kept), $pdf ? 'pdf' : 'jpg');
        KeptFile::put($path, $kept, 'file', 'paper');

        return Paper::query()->create([
            'family' => $code,
            'title' => $title,
            'path' => $path,
            'mime' => $pdf ? self::PDF : 'image/jpeg',
            'bytes' => strlen($kept),
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }

    /** @param  'position'|'socket'  $kind */
    public function mark(Paper $paper, string $kind, string $code, int $page, ?float $x, ?float $y, Person $by): void
    {
        $family = $this->knowledge->family($paper->family);
        $known = $kind === 'position' ? array_keys($family->positions) : array_map(strval(...), array_keys($family->sockets));
        if (! in_array($code, $known, true)) {
            throw InputError::unknown('code', $kind, $code, $known);
        }
        if (($x === null) !== ($y === null) || ($paper->isPicture() && $x === null)) {
            throw InputError::at('x', 'Point at the place on the picture.');
        }
        PaperMark::query()->create([
            'paper_id' => $paper->id,
            'kind' => $kind,
            'code' => $code,
            'page' => $page,
            'x' => $x,
            'y' => $y,
            'person_id' => $by->id,
            'at' => now(),
        ]);
    }
}
