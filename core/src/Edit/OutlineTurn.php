<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Face;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Zero;

/**
 * Turns an outline round: its outside becomes its inside. The drawn line stays the outer face and the walls grow to its
 * other side; openings stay where they are.
 */
final readonly class OutlineTurn implements Edit
{
    private function __construct(private string $id)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'));
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $outline = $design->outline($this->id);
        $walls = $design->wallsOf($this->id);
        $operations = [];
        foreach ($walls as $i => $wall) {
            $operations[] = Operation::alter($wall, $wall->withPosition(count($walls) - 1 - $i)
                ->withFace($wall->to, $wall->from, Zero::plain(-$wall->rise))
                ->withHead($wall->head?->turned($wall->face()->length()))->withFoot($wall->foot?->turned($wall->face()->length())));
        }
        // what is measured along the inner face gets the figure that leaves it where it is: that face lies on the other side now
        $then = $design->after(new Change('', $operations));
        foreach ($walls as $wall) {
            $length = $wall->face()->length();
            foreach ($design->openingsOf($wall->id) as $opening) {
                $rule = $opening->position->turned($length);
                if ($rule->along->face === Face::Inner) {
                    $rule = Places::in($then)->positionAt(
                        $rule,
                        $then->wall($wall->id),
                        $opening,
                        $length - Places::in($design)->of($opening)->right,
                    );
                }
                $operations[] = Operation::alter($opening, $opening->withPosition($rule));
            }
        }
        foreach ($design->lines as $line) {
            if ($line->rule instanceof Along && $design->host($line->host)->outline() === $this->id) {
                $length = $design->host($line->host)->face()->length();
                $rule = $line->rule->turned($length);
                if ($rule->face === Face::Inner) {
                    $rule = Places::in($then)->alongAt($rule, $then->host($line->host), $length - Places::in($design)->line($line));
                }
                $operations[] = Operation::alter($line, $line->withRule($rule));
            }
        }
        [$operations, $notes] = Reshape::measured($design, $operations);
        $change = new Change(sprintf('Turned %s round', $outline->name), $operations, [$this->id], notes: $notes);
        Standing::require($design->after($change), $design);

        return $change;
    }
}
