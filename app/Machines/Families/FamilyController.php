<?php

declare(strict_types=1);

namespace App\Machines\Families;

use App\Api\DrawAnew;
use App\Api\KeptFile;
use App\Api\TakesFile;
use App\Knowledge\Families\OwnFamily;
use App\Knowledge\KnowledgeFiles;
use App\Machines\Machine;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use OddBench\Input\InputError;
use Symfony\Component\HttpFoundation\Response;

/** Families on screen. */
final readonly class FamilyController
{
    private const PICTURE_PX = 800;

    public function __construct(private KeepFamily $keep, private KnowledgeFiles $files)
    {
    }

    public function show(string $family): FamilyFormView
    {
        return $this->view($family);
    }

    public function store(FamilyRequest $request): FamilyFormView
    {
        Gate::authorize(Ability::RunShop);

        return $this->view(DB::transaction(fn (): string => $this->keep->add($request->content(), Here::person())));
    }

    public function update(string $family, FamilyRequest $request): FamilyFormView
    {
        Gate::authorize(Ability::RunShop);
        $this->content($family);
        DB::transaction(fn () => $this->keep->keep($family, array_diff_key($request->content(), ['code' => 0]), Here::person()));

        return $this->view($family);
    }

    /** The body is the file itself; one of its code is written over. */
    #[TakesFile()]
    public function import(Request $request): FamilyFormView
    {
        Gate::authorize(Ability::RunShop);

        return $this->view(DB::transaction(fn (): string => $this->keep->import($request->getContent(), Here::person())));
    }

    public function drop(string $family): FamilyGone
    {
        Gate::authorize(Ability::RunShop);
        DB::transaction(fn () => $this->keep->drop($family));

        return new FamilyGone($family, $this->files->ships($family));
    }

    /** The body is the picture itself. */
    #[TakesFile(TakesFile::PICTURE)]
    public function photograph(string $family, Request $request, DrawAnew $draw): FamilyFormView
    {
        Gate::authorize(Ability::RunShop);
        $jpeg = $draw->jpeg($request->getContent(), 'photograph', self::PICTURE_PX);
        $path = sprintf('families/%s-%s.jpg', $family, substr(sha1($jpeg), 0, 12));
        $content = $this->content($family);
        KeptFile::put($path, $jpeg, 'photograph', 'picture');
        DB::transaction(function () use ($family, $content, $path): void {
            if (OwnFamily::query()->whereKey($family)->doesntExist()) {
                $this->keep->keep($family, array_diff_key($content, ['code' => 0]), Here::person());
            }
            OwnFamily::query()->whereKey($family)->update(['picture' => $path]);
        });

        return $this->view($family);
    }

    public function picture(string $family): Response
    {
        $path = OwnFamily::query()->whereKey($family)->value('picture');

        return response((string) Storage::get(is_string($path) ? $path : abort(404)), 200, ['Content-Type' => 'image/jpeg']);
    }

    /** As a file, to keep elsewhere or to give to another shop. */
    public function export(string $family): Response
    {
        $own = OwnFamily::query()->find($family)?->yaml;
        $yaml = $own ?? $this->files->shipped($family) ?? abort(404);

        return response(
            $yaml,
            200,
            ['Content-Type' => 'application/yaml', 'Content-Disposition' => "attachment; filename=\"{$family}.yaml\""],
        );
    }

    private function view(string $family): FamilyFormView
    {
        $own = OwnFamily::query()->find($family);

        return new FamilyFormView(
            $family,
            $own !== null,
            $this->files->ships($family),
            Machine::query()->where('family', $family)->count(),
            $this->content($family),
            $own?->picture === null ? null : "/files/families/{$family}.jpg?".substr(sha1((string) $own->picture), 0, 8),
        );
    }

    /** @return array<mixed> */
    private function content(string $family): array
    {
        return $this->files->family(
            $family,
            OwnFamily::query()->find($family)?->yaml,
        ) ?? throw InputError::at('family', "There is no family “{$family}”.");
    }
}
