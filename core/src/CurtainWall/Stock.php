<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\CurtainRules;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What bars there are to cut from, and what a cut takes. */
final readonly class Stock
{
    /**
     * @param  non-empty-list<float>  $lengths  of bars that can be had, shortest first, mm
     * @param  float  $kerf  what a saw takes, mm
     * @param  float  $trim  cut off at both ends of a bar before anything else, mm
     */
    private function __construct(public array $lengths, public float $kerf, public float $trim)
    {
    }

    /** @throws Refusal when a bar has nothing left after its ends are cut off */
    public static function from(Fields $f): self
    {
        $given = new Fields($f->array('lengths'), $f->units());
        $lengths = array_map(
            static fn (int|string $i): float => $given->size((string) $i, 'The length of a bar'),
            array_keys($f->array('lengths')),
        );
        sort($lengths);
        if ($lengths === [] || count($lengths) > 20) {
            throw Refusal::because(
                'stock.lengths',
                sprintf('Bars come in 1 to 20 lengths; %d were given.', count($lengths)),
                details: ['field' => 'lengths'],
            );
        }
        $trim = $f->has('trim') ? $f->size('trim', 'What is trimmed off', 0.0) : 0.0;
        if ($lengths[0] <= 2 * $trim) {
            throw Refusal::because(
                'stock.trim',
                sprintf('Trimming %s off both ends leaves nothing of a bar %s long.', Length::mark($trim), Length::mark($lengths[0])),
                details: ['field' => 'trim'],
            );
        }

        return new self($lengths, $f->has('kerf') ? $f->size('kerf', 'The saw’s cut', 0.0) : 0.0, $trim);
    }

    public static function of(float $kerf, float $trim, float ...$lengths): self
    {
        return self::from(new Fields(['lengths' => array_values($lengths), 'kerf' => $kerf, 'trim' => $trim]));
    }

    public static function usual(CurtainRules $rules): self
    {
        return self::of($rules->kerf, $rules->trim, ...$rules->bars);
    }

    /** What of a bar can be cut. */
    public function usable(float $length): float
    {
        return $length - 2 * $this->trim;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['lengths' => $this->lengths, 'kerf' => $this->kerf, 'trim' => $this->trim];
    }
}
