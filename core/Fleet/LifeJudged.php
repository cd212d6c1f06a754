<?php

declare(strict_types=1);

namespace OddBench\Fleet;

/** How long a part lasts, and how sure that is. */
final readonly class LifeJudged
{
    /**
     * @param  'ml'|'weibayes'  $method
     * @param  float  $low  hours; the mean lies above it (95 % both sides together)
     * @param  float|null  $high  hours; nothing where too few failed to bound it
     * @param  array{float, float}|null  $shapes  between these the shape lies (95 %); nothing when it is the trade’s
     * @param  list<Weibull>  $edge  lives that explain what was seen nearly as well; their spread is the curve’s band
     * @param  float|null  $usual  hours the trade says they last
     */
    public function __construct(
        public Weibull $life,
        public string $method,
        public float $low,
        public ?float $high,
        public int $failures,
        public int $running,
        public ?array $shapes,
        public array $edge,
        public ?float $usual,
    ) {
    }

    /** @return array{float, float} between these the share that still works at an age lies, 0 to 1 */
    public function band(float $hours): array
    {
        $shares = array_map(static fn (Weibull $w): float => $w->survival($hours), [...$this->edge, $this->life]);

        return [min($shares), max($shares)];
    }

    /**
     * The law and how sure it is, by the names everybody asks for it.
     *
     * @return array{shape: float, scale_h: float, mean_h: float, low_h: float, high_h: float|null, method: 'ml'|'weibayes'}
     */
    public function figures(): array
    {
        return [
            'shape' => $this->life->shape,
            'scale_h' => $this->life->scale,
            'mean_h' => $this->life->mean(),
            'low_h' => $this->low,
            'high_h' => $this->high,
            'method' => $this->method,
        ];
    }

    /** One plain sentence with the figures in it. */
    public function because(): string
    {
        $bounds = $this->high === null
            ? sprintf('over %s', Hours::words($this->low))
            : sprintf('%s to %s', Hours::words($this->low), Hours::words($this->high));
        $seen = sprintf('%d failed, %d came through so far', $this->failures, $this->running);
        if ($this->method === 'weibayes') {
            return sprintf(
                '%s: too few failures to go by alone, so the usual %s count along: %s on the average (95 %%: %s).',
                $seen,
                Hours::words((float) $this->usual),
                Hours::words($this->life->mean()),
                $bounds,
            );
        }

        return sprintf('%s: %s on the average (95 %%: %s)%s.', $seen, Hours::words($this->life->mean()), $bounds, $this->against());
    }

    private function against(): string
    {
        if ($this->usual === null) {
            return '';
        }
        $off = $this->life->mean() / $this->usual - 1;
        $share = (int) round(100 * abs($off));

        return $share === 0
            ? ', just as is usual'
            : sprintf(', %d %% %s than the usual %s', $share, $off < 0 ? 'less' : 'more', Hours::words($this->usual));
    }

    /** Whether they wear out for certain, by the clock: only then is one changed before it fails. */
    public function wearsOut(): bool
    {
        return $this->life->shape > 1.0;
    }
}
