<?php

declare(strict_types=1);

namespace App\Intake;

use App\Api\TakesFile;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response;

final readonly class PhotographController
{
    /** The body is the picture itself. */
    #[TakesFile(TakesFile::PICTURE)]
    public function store(int $job, Request $request, KeepPhotograph $keep): PhotographView
    {
        Gate::authorize(Ability::Work);

        return PhotographView::of($keep->keep(Job::query()->findOrFail($job), $request->getContent(), Here::person()));
    }

    public function show(int $photograph): Response
    {
        $found = Photograph::query()->findOrFail($photograph);

        return response(
            (string) Storage::get($found->path),
            200,
            ['Content-Type' => 'image/jpeg'],
        );
    }
}
