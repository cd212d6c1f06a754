import type { Look, OfferPage } from '@/api/types';
import { figure } from '@/ui/figure';
import { inField, typed } from './sums';

export interface StageText {
  name: string;
  cost: string;
  passesPct: string;
  fallback: string;
  end: string;
}

/** The sheet of a machine on offer while it is written. */
export class OfferForm {
  family = $state('');
  seller = $state('');
  says = $state('');
  findings = $state<string[]>([]);
  missing = $state('');
  asked = $state('');
  freight = $state('');
  missingCosts = $state('');
  selling = $state('');
  sells = $state('');
  single = $state('');
  parts = $state('');
  margin = $state('');
  stages = $state<StageText[]>([]);

  /** As it was kept. */
  take(offer: OfferPage): void {
    this.family = offer.family;
    this.seller = offer.seller;
    this.says = offer.says;
    this.findings = [...offer.findings];
    this.missing = offer.missing ?? '';
    this.asked = inField(offer.askedMinor);
    this.freight = inField(offer.freightMinor);
    this.missingCosts = inField(offer.missingMinor);
    this.selling = inField(offer.sellingMinor);
    this.sells = inField(offer.sellsMinor);
    this.single = inField(offer.singleMinor);
    this.parts = inField(offer.partsMinor);
    this.margin = inField(offer.marginMinor);
    this.setStages(offer.stages);
  }

  /** What the seller’s words and the shop’s own figures propose; what somebody typed stays. */
  propose(look: Look): void {
    if (this.sells === '') this.sells = inField(look.sellsMinor);
    if (this.parts === '') this.parts = inField(look.partsMinor);
    if (this.selling === '') this.selling = inField(look.sellingMinor);
    if (this.margin === '') this.margin = inField(look.marginMinor);
    this.setStages(look.stages);
  }

  body() {
    return {
      family: this.family,
      seller: this.seller,
      says: this.says,
      findings: this.findings,
      missing: typed(this.missing),
      asked: typed(this.asked),
      freight: typed(this.freight),
      missingCosts: typed(this.missingCosts),
      selling: typed(this.selling),
      sells: this.sells,
      single: typed(this.single),
      parts: this.parts,
      margin: typed(this.margin),
      stages: this.stages.map((stage, i) => ({
        ...stage,
        passesPct: figure(`stages.${i}.passesPct`, stage.passesPct, 'In how many of 100 does it pass?'),
      })),
    };
  }

  private setStages(stages: OfferPage['stages']): void {
    this.stages = stages.map((stage) => ({
      name: stage.name,
      cost: inField(stage.costMinor),
      passesPct: String(Math.round(10_000 * stage.passes) / 100),
      fallback: inField(stage.fallbackMinor),
      end: stage.end,
    }));
  }
}
