<?php

declare(strict_types=1);

namespace App\Money\Buying;

use App\Api\Refused;
use App\Api\Stale;
use App\Shop\Person;
use Illuminate\Support\Facades\DB;
use OddBench\Input\InputError;
use OddBench\Knowledge\Knowledge;
use OddBench\Money\BidStage;

/** Writes the sheet of a machine on offer down, or changes it while nothing is decided. */
final readonly class KeepOffer
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  bool  $belowParts  it sells for less than its parts bring, and that is so
     *
     * @throws InputError for an unknown family or finding
     * @throws Refused when it sells for less than its parts bring and nobody has said that it is so
     */
    public function add(Sheet $sheet, bool $belowParts, Person $by): Offer
    {
        $this->check($sheet, $belowParts);

        return DB::transaction(function () use ($sheet, $by): Offer {
            $offer = Offer::query()->create([...self::columns($sheet), 'person_id' => $by->id, 'at' => now()]);
            $this->stages($offer, $sheet->stages);

            return $offer->refresh();
        });
    }

    /**
     * @throws InputError as add()
     * @throws Refused as add(), or when it is decided
     * @throws Stale when somebody else changed it since
     */
    public function change(Offer $offer, Sheet $sheet, bool $belowParts, int $version): Offer
    {
        $this->check($sheet, $belowParts);

        return DB::transaction(function () use ($offer, $sheet, $version): Offer {
            $offer = self::open($offer, $version);
            $offer->update([...self::columns($sheet), 'version' => $offer->version + 1]);
            OfferStage::query()->where('offer_id', $offer->id)->delete();
            $this->stages($offer, $sheet->stages);

            return $offer->refresh();
        });
    }

    /** Locked, and as somebody saw it. */
    public static function open(Offer $offer, int $version): Offer
    {
        $offer = Offer::query()->lockForUpdate()->findOrFail($offer->id);
        if ($offer->state !== 'open') {
            throw Refused::because('offer', $offer->state === 'bought'
                ? 'This machine is bought: its sheet is its purchase and is not changed any more.'
                : 'This offer was let go. Write a new sheet when it comes up again.');
        }
        if ($offer->version !== $version) {
            throw Stale::since(['Somebody changed this sheet since you opened it.'], $offer->version);
        }

        return $offer;
    }

    private function check(Sheet $sheet, bool $belowParts): void
    {
        $this->knowledge->family($sheet->family);
        foreach ($sheet->findings as $i => $code) {
            $this->knowledge->finding($code, "findings.{$i}");
        }
        if ($sheet->stages === []) {
            throw InputError::at('stages', 'Say at least one test it has to pass.');
        }
        if ($sheet->sells < $sheet->parts && ! $belowParts) {
            throw Refused::because(
                'belowParts',
                'Mended it would bring less than its parts alone. Look at both figures again, or say that it is so.',
            );
        }
    }

    /** @return array<string, mixed> */
    private static function columns(Sheet $sheet): array
    {
        return [
            'family' => $sheet->family,
            'seller' => $sheet->seller,
            'says' => $sheet->says,
            'findings' => $sheet->findings,
            'missing' => $sheet->missing,
            'asked_minor' => $sheet->asked,
            'freight_minor' => $sheet->freight,
            'missing_minor' => $sheet->missingCosts,
            'selling_minor' => $sheet->selling,
            'sells_minor' => $sheet->sells,
            'single_minor' => $sheet->single,
            'parts_minor' => $sheet->parts,
            'margin_minor' => $sheet->margin,
        ];
    }

    /** @param  list<BidStage>  $stages */
    private function stages(Offer $offer, array $stages): void
    {
        foreach ($stages as $i => $stage) {
            OfferStage::query()->create([
                'offer_id' => $offer->id,
                'place' => $i + 1,
                'name' => $stage->name,
                'cost_minor' => $stage->cost,
                'passes' => $stage->passes,
                'fallback_minor' => $stage->fallback,
                'end' => $stage->end,
            ]);
        }
    }
}
