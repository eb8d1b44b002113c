<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A finding that someone looked at and accepted, with the reason. It holds as long as the finding's figure is the same. */
final readonly class Acceptance implements Element
{
    /** Letters of what a finding is called by. */
    private const LONGEST = 200;

    /**
     * @param  string  $finding  what the finding is about: its rule and the elements it concerns
     * @param  float  $figure  mm, as it was when accepted
     */
    private function __construct(public string $id, public string $host, public string $finding, public float $figure, public string $note)
    {
    }

    public static function from(Fields $f): self
    {
        $finding = $f->string('finding');
        if ($finding === '' || mb_strlen($finding) > self::LONGEST) {
            throw Refusal::because('finding.unknown', 'There is no finding of that name.', details: ['field' => 'finding']);
        }

        return new self($f->string('id'), $f->string('host'), $finding, $f->number('figure'), $f->text('note'));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Acceptance;
    }

    public function names(): array
    {
        return Naming::of(Tie::Lists, $this->host);
    }

    public function toArray(): array
    {
        return ['id' => $this->id, 'host' => $this->host, 'finding' => $this->finding, 'figure' => $this->figure, 'note' => $this->note];
    }
}
