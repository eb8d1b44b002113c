<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Refusal;

/** The fields of a design as they lie, each worked out when it is first asked for. */
final class FieldsOn
{
    /** @var array<string, FieldPieces|Refusal> */
    private array $found = [];

    private function __construct(private readonly Design $design)
    {
    }

    public static function in(Design $design): self
    {
        return $design->once(self::class, static fn (Design $d): self => new self($d));
    }

    /** @return list<Field> on a wall, or all, in the order they were put in */
    public function all(?string $wall = null): array
    {
        $fields = array_values(array_filter(
            $this->design->layers,
            static fn (object $l): bool => $l instanceof Field && ($wall === null || $l->wall === $wall),
        ));
        usort($fields, static fn (Field $a, Field $b): int => $a->position <=> $b->position);

        return $fields;
    }

    public static function field(Design $design, string $id): Field
    {
        $field = $design->layers[$id] ?? null;

        return $field instanceof Field ? $field : throw Refusal::because('field.unknown',
            'That field is not in this project any more.', [$id]);
    }

    /** @throws Refusal when it cannot lie so */
    public function of(Field $field): FieldPieces
    {
        $found = $this->look($field);

        return $found instanceof FieldPieces ? $found : throw $found;
    }

    public function find(Field $field): ?FieldPieces
    {
        $found = $this->look($field);

        return $found instanceof FieldPieces ? $found : null;
    }

    public function why(Field $field): ?string
    {
        $found = $this->look($field);

        return $found instanceof Refusal ? $found->getMessage() : null;
    }

    /** @return list<FieldPieces> those that lie on a wall */
    public function on(string $wall): array
    {
        return array_values(array_filter(
            array_map($this->find(...), $this->all($wall)),
            static fn (?FieldPieces $p): bool => $p !== null,
        ));
    }

    private function look(Field $field): FieldPieces|Refusal
    {
        if (! isset($this->found[$field->id])) {
            try {
                $this->found[$field->id] = FieldPieces::of($this->design, $field);
            } catch (Refusal $why) {
                $this->found[$field->id] = $why;
            }
        }

        return $this->found[$field->id];
    }
}
