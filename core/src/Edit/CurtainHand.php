<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\FreeMember;
use Isleward\Core\CurtainWall\InfillChange;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\LineChange;
use Isleward\Core\CurtainWall\Lines;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\MemberChange;
use Isleward\Core\CurtainWall\RunPart;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\Stretch;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Changes curtain walls ("ids": stretches, openings) by hand, against the rules of their type. Done in this order:
 *
 * - "reset": what was changed goes back to the rule: [{of: "lines" | "members" | "infills" | "free", places}], or "resetAll";
 * - "lines", "members", "infills", "free": more changes, as they are kept; a line that is added needs no name;
 * - "move": free members by so much: {places, u, v, copy};
 * - "mirror": free members copied the other way about an upright line at "u", or the middle: {places, u};
 * - "join": cells that lie side by side into one, by the pieces of lines between them: [{left, foot}];
 * - "divide": a cell in two: {left, foot, axis, at, through}, see {@see CurtainCells::dividing}; "through" the "run" in all that are changed.
 *
 * Where several are changed, a line, member, infill, or cell may name the one it is for as its "element"; else it is for all.
 */
final readonly class CurtainHand implements Edit
{
    /** Arguments that give changes of a kind. */
    private const GIVES = [
        Lost::LINES => ['lines', 'divide'], Lost::MEMBERS => ['members', 'join'], Lost::INFILLS => ['infills'],
        Lost::FREE => ['free', 'move', 'mirror', 'divide'],
    ];

    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(array_values(array_unique($args->strings('ids'))), $args);
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings(...array_values(array_filter($this->ids, Kind::Opening->isOf(...))));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $operations = [];
        $those = Curtained::of($design, $this->ids);
        $dividing = $this->dividing($design, $those);
        foreach ($those as $curtained) {
            $hand = $this->changed($design, $curtained, Runs::byHand($curtained->curtain), $dividing[$curtained->element->id()] ?? []);
            GridMark::requireUnits($design, $curtained->curtain->withByHand($hand->toArray())->names());
            $operations[] = $curtained->with($curtained->curtain->withByHand($hand->isNothing() ? [] : $hand->toArray()));
        }
        $change = new Change($this->summary(), $operations, $this->ids);
        $then = $design->after($change);
        $notes = [];
        foreach ($this->ids as $id) {
            // what was before is worked out only where there is something to hold it against
            $now = self::lost($then, $id);
            $lost = $now === [] ? [] : Lost::since($now, self::lost($design, $id, true));
            $this->requireGiven($id, $lost);
            array_push($notes, ...Lost::says($lost), ...self::doors($then, $design, $id));
        }

        return new Change($change->summary, $change->operations, $this->ids, notes: array_values(array_unique($notes)));
    }

    /**
     * What is given now has to make sense, beside what of its kind was given before; what it makes of changes of other kinds is told.
     *
     * @param  list<Lost>  $lost
     *
     * @throws Refusal
     */
    private function requireGiven(string $id, array $lost): void
    {
        foreach ($lost as $one) {
            foreach (self::GIVES[$one->of] as $given) {
                if ($this->args->has($given)) {
                    throw Refusal::because($one->of.'.lost', $one->says, [$id]);
                }
            }
        }
    }

    /**
     * What divides cells, by the element it is for; lines through the run are for all.
     *
     * @param  list<Curtained>  $those
     * @return array<string, list<LineChange|FreeMember>>
     */
    private function dividing(Design $design, array $those): array
    {
        $out = [];
        foreach ($those as $curtained) {
            foreach ($this->own('divide', $curtained) as $divide) {
                $run = $divide->string('through', 'part') === 'run';
                $with = $run ? new Fields(['through' => 'stretch'] + $divide->all(), $divide->units()) : $divide;
                $what = (new CurtainCells($design, $curtained))->dividing($with);
                foreach ($run ? $those : [$curtained] as $one) {
                    $out[$one->element->id()][json_encode($what->toArray(), JSON_THROW_ON_ERROR)] = $what;
                }
            }
        }

        return array_map(array_values(...), $out);
    }

    /** @param  list<LineChange|FreeMember>  $dividing  of its cells, each once */
    private function changed(Design $design, Curtained $curtained, ByHand $hand, array $dividing): ByHand
    {
        $args = $this->args;
        $cells = new CurtainCells($design, $curtained);
        if ($args->bool('resetAll')) {
            $hand = ByHand::nothing();
        }
        foreach ($args->has('reset') ? $args->list('reset') : [] as $reset) {
            $hand = $hand->without($reset->string('of'), self::places($reset));
        }
        foreach ($this->own('lines', $curtained) as $line) {
            $named = $line->has('line') ? $line : new Fields(['line' => $hand->nextLine()] + $line->all(), $line->units());
            $change = LineChange::from($named);
            $hand = $hand->withLine($change, $hand->hasAdded($change) ? $cells->beside($change) : null);
        }
        foreach ($this->own('members', $curtained) as $member) {
            $hand = $hand->withMember(MemberChange::from($member));
        }
        foreach ($cells->between($this->own('join', $curtained)) as $gone) {
            $hand = $hand->withMember($gone);
        }
        foreach ($this->own('infills', $curtained) as $infill) {
            $hand = $hand->withInfill(InfillChange::from($infill));
        }
        if ($args->has('free')) {
            $hand = $hand->withFree(...array_map(
                static fn (Fields $f): FreeMember => FreeMember::from($f->has('profile')
                    ? $f
                    : new Fields(['profile' => $cells->usual()->toArray()] + $f->all(), $f->units())),
                $args->list('free'),
            ));
        }
        if ($args->has('move')) {
            $hand = self::moved($hand, $args->fields('move'));
        }
        if ($args->has('mirror')) {
            $mirror = $args->fields('mirror');
            $about = $mirror->has('u') ? $mirror->length('u') : $cells->width() / 2;
            $hand = $hand->withFree(...array_map(
                static fn (FreeMember $m): FreeMember => $m->mirrored($about),
                self::those($hand, self::places($mirror)),
            ));
        }
        foreach ($dividing as $one) {
            $hand = $one instanceof LineChange ? $hand->withLine($one->called($hand->nextLine())) : $hand->withFree($one);
        }

        return $hand;
    }

    /** @return list<Fields> what is given under a name for one that is changed: a change may name the "element" it is for */
    private function own(string $name, Curtained $curtained): array
    {
        return $this->args->has($name) ? array_values(array_filter(
            $this->args->list($name),
            static fn (Fields $f): bool => ! $f->has('element') || $f->string('element') === $curtained->element->id(),
        )) : [];
    }

    private static function moved(ByHand $hand, Fields $move): ByHand
    {
        $places = self::places($move);
        $by = [$move->has('u') ? $move->length('u') : 0.0, $move->has('v') ? $move->length('v') : 0.0];
        $moved = array_map(static fn (FreeMember $m): FreeMember => $m->moved(...$by), self::those($hand, $places));

        return ($move->bool('copy') ? $hand : $hand->without('free', $places))->withFree(...$moved);
    }

    /**
     * @param  list<int>  $places
     * @return list<FreeMember>
     */
    private static function those(ByHand $hand, array $places): array
    {
        return array_map(
            static fn (int $i): FreeMember => $hand->free[$i] ?? throw Refusal::because(
                'free.unknown',
                'That free member is not there any more.',
            ),
            $places,
        );
    }

    /** @return list<int> */
    private static function places(Fields $f): array
    {
        $given = new Fields($f->array('places'));

        return array_map(
            static fn (int|string $i): int => $given->count((string) $i, 'A place in the list', 0, 100000),
            array_keys($given->all()),
        );
    }

    /**
     * What stands there: a stretch, its facets, or what is let into an opening.
     *
     * @param  bool  $before  nothing where it could not stand before it was changed
     * @return list<Stretch>
     *
     * @throws Refusal when it cannot stand
     */
    private static function stretches(Design $design, string $id, bool $before): array
    {
        try {
            if (Kind::Opening->isOf($id)) {
                return LetIn::of($design, OpeningRules::require($design, $design->opening($id)))->stretches;
            }
            $standing = Runs::in($design)->at($id);

            return array_map(static fn (RunPart $p): Stretch => $p->stretch, $standing->partsOf($standing->indexOf($id)));
        } catch (Refusal $refusal) {
            return $before ? [] : throw $refusal;
        }
    }

    /** @return list<Lost> what was changed by hand and could not be kept */
    private static function lost(Design $design, string $id, bool $before = false): array
    {
        $stretches = self::stretches($design, $id, $before);
        if ($stretches === [] || Kind::Opening->isOf($id)) {
            return array_merge(...array_map(static fn (Stretch $s): array => $s->grid()->lost, $stretches));
        }
        $standing = Runs::in($design)->at($id);

        return $standing->run->lost($standing->indexOf($id));
    }

    /** @return list<string> what was taken out for doors that were not there */
    private static function doors(Design $then, Design $design, string $id): array
    {
        $notes = static fn (Design $d, bool $before): array => array_merge(
            ...array_map(static fn (Stretch $s): array => $s->grid()->notes, self::stretches($d, $id, $before)),
        );

        $now = $notes($then, false);

        return $now === [] ? [] : array_values(array_diff($now, $notes($design, true)));
    }

    private function summary(): string
    {
        $said = [
            'resetAll' => 'Reset a curtain wall', 'reset' => 'Reset a change by hand', 'lines' => 'Changed a line of a curtain wall',
            'members' => 'Changed members of a curtain wall', 'infills' => 'Changed cells of a curtain wall',
            'free' => 'Drew a free member', 'move' => 'Moved free members', 'mirror' => 'Mirrored free members',
            'join' => 'Joined cells', 'divide' => 'Divided a cell',
        ];
        foreach ($said as $name => $sentence) {
            if ($this->args->has($name)) {
                return $sentence;
            }
        }
        throw Refusal::because('curtain.nothing', 'Nothing would change.');
    }
}
