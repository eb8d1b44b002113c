<?php

declare(strict_types=1);

namespace Isleward\Core\Given;

use Isleward\Core\Unit\Stock;

/** Which ready type a schedule's words for a kind mean. */
final class Kinds
{
    /** What must stand in the words, all of it, and the mark of the ready type; the first that fits is taken. */
    private const WORDS = [
        ['louv(re|er)', 'W-35'],
        ['(fold|bi fold|bifold)', 'D-14'],
        ['(slid|patio).*door|door.*slid', 'D-16'],
        ['(pair|double|two leaf|2 leaf|french|leaves).*door|door.*(pair|double|two leaf|2 leaf|leaves)', 'D-04'],
        ['door.*(side ?light|side ?screen)|(side ?light|side ?screen).*door', 'D-06'],
        ['door.*(top ?light|fan ?light|transom|over ?panel)|(top ?light|fan ?light|transom).*door', 'D-02'],
        ['(panelled|paneled|panel).*door', 'D-10'],
        ['(flush|solid|steel|fire|plant|service|blank).*door', 'D-08'],
        ['(part|half).*glazed.*door|vision panel', 'D-12'],
        ['door|leaf', 'D-01'],
        ['tilt', 'W-19'],
        ['(vertical|double|single|hung).*(slid|hung sash)|sash window|double hung|single hung|box sash', 'W-33'],
        ['slid', 'W-31'],
        ['(vertical).*pivot|pivot.*(vertical)', 'W-23'],
        ['pivot', 'W-21'],
        ['(top).*(hung).*(fixed)|awning.*fixed|fixed.*(top hung|awning)', 'W-15'],
        ['top.*hung|awning', 'W-13'],
        ['bottom.*hung|hopper', 'W-17'],
        ['(pair|double|two|2).*(side hung|casement|light|leaf)|(side hung|casement).*(pair|double)', 'W-03'],
        ['(three|3|triple).*(light|leaf|casement)', 'W-05'],
        ['(four|4).*(light|leaf|casement)', 'W-11'],
        ['side.*hung|casement|opening light|openable', 'W-02'],
        ['round|circular|porthole', 'W-39'],
        ['fixed|picture|direct glazed|non opening|window|glazed|glazing|light', 'W-01'],
    ];

    /** The mark of the ready type that the words mean; null when they say none that is known. */
    public static function like(string $words): ?string
    {
        $plain = trim((string) preg_replace('/[^\pL\d]+/u', ' ', mb_strtolower($words)));
        foreach ($plain === '' ? [] : self::WORDS as [$pattern, $mark]) {
            if (preg_match('/\b('.$pattern.')/u', $plain) === 1) {
                return $mark;
            }
        }

        return null;
    }

    /**
     * Every ready type that a kind can be taken for.
     *
     * @return list<array{mark: string, name: string}>
     */
    public static function all(): array
    {
        return array_map(
            static fn (array $t): array => [
                'mark' => is_string($t['mark']) ? $t['mark'] : '',
                'name' => is_string($t['name']) ? $t['name'] : '',
            ],
            Stock::types(),
        );
    }

    /**
     * The ready type of a mark, or null.
     *
     * @return array<string, mixed>|null values of a unit type less id and position
     */
    public static function ready(string $mark): ?array
    {
        foreach (Stock::types() as $type) {
            if ($type['mark'] === $mark) {
                return $type;
            }
        }

        return null;
    }
}
