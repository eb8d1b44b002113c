<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A colour and sheen that parts of units are finished in. */
final readonly class Finish
{
    /** @param  string  $colour  "#rrggbb", sRGB */
    private function __construct(public string $id, public string $name, public string $colour, public Sheen $sheen)
    {
    }

    public static function from(Fields $f): self
    {
        $colour = strtolower($f->string('colour'));
        if (preg_match('/^#[0-9a-f]{6}$/', $colour) !== 1) {
            throw Refusal::because(
                'finish.colour',
                sprintf('“%s” is no colour: write it as # and six figures, #2f5d62.', $colour),
                details: ['field' => 'colour'],
            );
        }
        $id = $f->string('id');
        if (preg_match('/^[a-z0-9-]{1,40}$/', $id) !== 1) {
            throw Refusal::because(
                'finish.id',
                sprintf('“%s” is no name of a finish: small letters, figures and hyphens.', $id),
                details: ['field' => 'id'],
            );
        }

        return new self($id, $f->name('name'), $colour, $f->choice('sheen', Sheen::class, Sheen::Satin));
    }

    /** Names its look in a scene. */
    public function material(): string
    {
        return $this->colour.' '.$this->sheen->value;
    }

    /** @return array{id: string, name: string, colour: string, sheen: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'colour' => $this->colour, 'sheen' => $this->sheen->value];
    }
}
