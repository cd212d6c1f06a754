<?php

declare(strict_types=1);

namespace App\Fleet\Lives;

final readonly class LivesController
{
    private const AHEAD = 240.0;

    public function __construct(private LifeQuery $lives)
    {
    }

    public function index(): LivesView
    {
        return $this->lives->all();
    }

    public function show(string $class, LifeRequest $request): LifeView
    {
        return $this->lives->one(
            $class,
            $request->words('part'),
            $request->words('family'),
            $request->words('circumstance'),
            $request->numberOrNull('ahead') ?? self::AHEAD,
        );
    }
}
