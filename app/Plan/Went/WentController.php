<?php

declare(strict_types=1);

namespace App\Plan\Went;

final readonly class WentController
{
    public function show(WentRequest $request, WentQuery $went): WentView
    {
        return $went->read($request->words('from'), $request->wholeOrNull('days') ?? WentQuery::WEEK);
    }
}
