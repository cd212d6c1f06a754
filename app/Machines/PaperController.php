<?php

declare(strict_types=1);

namespace App\Machines;

use App\Api\TakesFile;
use App\Shop\Ability;
use App\Shop\Here;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use OddBench\Knowledge\Knowledge;
use Symfony\Component\HttpFoundation\Response;

final readonly class PaperController
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    public function index(string $family): PapersView
    {
        $of = $this->knowledge->families[$family] ?? abort(404);
        $papers = Paper::query()->with('marks')->where('family', $family)->whereNull('withdrawn_at')->orderBy('title')->limit(200)->get();

        return new PapersView(array_values($papers->map(static fn (Paper $p): PaperView => new PaperView(
            $p->id, $p->family, $p->title, "/files/papers/{$p->id}", $p->isPicture(),
            array_values($p->marks->map(static fn (PaperMark $m): PaperMarkView => new PaperMarkView(
                $m->id,
                $m->page,
                $m->x,
                $m->y,
                $m->kind,
                $m->code,
                $m->kind === 'position' ? (isset($of->positions[$m->code]) ? $of->positions[$m->code]->name : $m->code) : $m->code,
            ))->all()),
        ))->all()));
    }

    /** The body is the paper itself; its title stands in the query. */
    #[TakesFile(query: ['title' => 'text'])]
    public function store(string $family, Request $request, KeepPaper $keep): PapersView
    {
        Gate::authorize(Ability::Work);
        $keep->keep($family, $request->string('title')->toString(), $request->getContent(), Here::person());

        return $this->index($family);
    }

    public function withdraw(int $paper): PapersView
    {
        Gate::authorize(Ability::Work);
        $found = Paper::query()->whereNull('withdrawn_at')->findOrFail($paper);
        $found->update(['withdrawn_at' => now()]);
        DB::afterCommit(static function () use ($found): void {
            // the same file may stand under another title as well
            if (Paper::query()->whereNull('withdrawn_at')->where('path', $found->path)->doesntExist()) {
                Storage::delete($found->path);
            }
        });

        return $this->index($found->family);
    }

    public function mark(int $paper, MarkRequest $request, KeepPaper $keep): PapersView
    {
        Gate::authorize(Ability::Work);
        $found = Paper::query()->whereNull('withdrawn_at')->findOrFail($paper);
        /** @var 'position'|'socket' $kind */
        $kind = $request->string('kind')->toString();
        $keep->mark(
            $found,
            $kind,
            $request->string('code')->toString(),
            $request->wholeOrNull('page') ?? 1,
            $request->numberOrNull('x'),
            $request->numberOrNull('y'),
            Here::person(),
        );

        return $this->index($found->family);
    }

    public function unmark(int $paper, int $mark): PapersView
    {
        Gate::authorize(Ability::Work);
        PaperMark::query()->where('paper_id', $paper)->findOrFail($mark)->delete();

        return $this->index(Paper::query()->findOrFail($paper)->family);
    }

    public function file(int $paper): Response
    {
        $found = Paper::query()->whereNull('withdrawn_at')->findOrFail($paper);

        return response(
            (string) Storage::get($found->path),
            200,
            [
                'Content-Type' => $found->mime,
                'Content-Disposition' => 'inline',
                'X-Content-Type-Options' => 'nosniff',
            ],
        );
    }
}
