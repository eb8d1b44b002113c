<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** Where the battens of a field lie over the clear width that it fills, whatever way they run. */
final readonly class Battens
{
    private const MOST = 5000;

    /**
     * @param  float  $size  the pitch, the clear gap, or the least clear gap, mm
     * @param  bool  $ends  whether a batten lies at both ends; else a gap
     */
    private function __construct(public BattensBy $by, public float $size, public int $count, public bool $ends, public LeftOver $left)
    {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->choice('by', BattensBy::class, BattensBy::Fit),
            $f->has('size') ? $f->size('size', 'How far apart battens lie') : 60.0,
            $f->has('count') ? $f->count('count', 'How many battens there are', 1, self::MOST) : 10,
            $f->bool('ends', false),
            $f->choice('left', LeftOver::class, LeftOver::Shared),
        );
    }

    /**
     * Where each begins, from the start of the clear width, and how much is clear between two.
     *
     * @param  float  $wide  one batten across, as it is turned, mm
     * @return array{non-empty-list<float>, float}
     *
     * @throws Refusal when none fits, or they would overlap
     */
    public function over(float $clear, float $wide): array
    {
        if ($wide > $clear) {
            throw Refusal::because('field.too_wide', sprintf(
                'A batten is %s wide as it is turned; there are %s clear.', Length::mark($wide), Length::mark($clear),
            ));
        }
        if ($this->by === BattensBy::Pitch && $this->size < $wide) {
            throw Refusal::because('field.pitch', sprintf(
                'A pitch of %s is less than a batten is wide: %s. They would overlap.', Length::mark($this->size), Length::mark($wide),
            ), details: ['field' => 'size', 'least' => $wide]);
        }
        $least = $this->by === BattensBy::Pitch ? $this->size - $wide : $this->size;
        // with n battens there are n − 1 gaps between them, and one more at either end where no batten lies there
        $more = $this->ends ? -1 : 1;
        $count = $this->by === BattensBy::Count ? $this->count : (int) floor(($clear - $more * $least) / ($wide + $least) + 1e-9);
        if ($count > self::MOST) {
            throw Refusal::because('field.too_many', sprintf('That would be %d battens; a field has %d at the most.', $count, self::MOST));
        }
        if ($count < 1) {
            throw Refusal::because('field.none', sprintf(
                'Not one batten fits: %s clear, %s wide, and %s at either end.',
                Length::mark($clear), Length::mark($wide), Length::mark($least),
            ));
        }
        if ($this->ends && $count === 1) {
            return [[($clear - $wide) / 2], 0.0];
        }
        $shared = ($clear - $count * $wide) / ($count + $more);
        if ($shared < 0) {
            throw Refusal::because('field.overlap', sprintf(
                '%d battens of %s are %s wide together; there are %s clear.',
                $count, Length::mark($wide), Length::mark($count * $wide), Length::mark($clear),
            ), details: ['field' => 'count']);
        }
        $isShared = $this->left === LeftOver::Shared || $this->by === BattensBy::Count;
        $gap = $isShared ? $shared : $least;
        $over = $clear - $count * $wide - ($count + $more) * $gap;
        $first = ($this->ends ? 0.0 : $gap) + match (true) {
            $isShared, $this->left === LeftOver::End => 0.0,
            $this->left === LeftOver::Start => $over,
            default => $over / 2,
        };

        return [array_map(static fn (int $i): float => $first + $i * ($wide + $gap), range(0, $count - 1)), $gap];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'by' => $this->by->value, 'size' => $this->size, 'count' => $this->count, 'ends' => $this->ends, 'left' => $this->left->value,
        ];
    }
}
