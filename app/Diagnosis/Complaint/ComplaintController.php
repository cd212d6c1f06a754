<?php

declare(strict_types=1);

namespace App\Diagnosis\Complaint;

use OddBench\Diagnosis\Complaint;
use OddBench\Knowledge\Knowledge;
use OddBench\Knowledge\Traits;

/** Reads a complaint; nothing is put down by it. */
final readonly class ComplaintController
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function read(ReadComplaintRequest $request): ComplaintView
    {
        $complaint = new Complaint($this->knowledge);
        $text = $request->string('text')->toString();
        $family = $request->words('family');
        $traits = Traits::of($family === null ? [] : ($this->knowledge->families[$family]->traits ?? []));

        return new ComplaintView(
            array_map(
                fn (array $heard): HeardView => new HeardView(
                    $heard['code'],
                    $this->knowledge->findings[$heard['code']]->name,
                    $heard['words'],
                    $this->knowledge->findings[$heard['code']]->redTag,
                ),
                $complaint->findings($text, $traits),
            ),
            array_map(
                static fn (array $raised): DangerRaisedView => new DangerRaisedView($raised['finding'], $raised['ask']),
                $complaint->safety($text),
            ),
        );
    }
}
