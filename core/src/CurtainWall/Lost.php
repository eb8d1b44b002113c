<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** A change by hand that could not be kept, and why. */
final readonly class Lost
{
    public const LINES = 'lines';

    public const MEMBERS = 'members';

    public const INFILLS = 'infills';

    public const FREE = 'free';

    /**
     * @param  string  $of  which of a {@see ByHand}'s lists it is of
     * @param  string  $says  a sentence, lengths marked
     */
    public function __construct(public string $of, public string $says)
    {
    }

    /**
     * @param  list<self>  $now
     * @param  list<self>  $before
     * @return list<self> those of now that were not there before
     */
    public static function since(array $now, array $before): array
    {
        $known = array_fill_keys(self::says($before), true);

        return array_values(array_filter($now, static fn (self $l): bool => ! isset($known[$l->says])));
    }

    /**
     * @param  list<self>  $lost
     * @return list<string>
     */
    public static function says(array $lost): array
    {
        return array_map(static fn (self $l): string => $l->says, $lost);
    }
}
