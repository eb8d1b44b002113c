<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\Sheet\Paper;
use PHPUnit\Framework\Assert;

/** Pages as they are written. */
final class OnPaper
{
    /**
     * Holds that pages are well-formed, as large as their paper, and that every text begins on it.
     *
     * @param  list<string>  $pages  SVG
     * @return list<string> their texts
     */
    public static function texts(array $pages, Paper $paper, string $of): array
    {
        $texts = [];
        [$width, $height] = $paper->size();
        foreach ($pages as $svg) {
            $document = new \DOMDocument;
            Assert::assertTrue($document->loadXML($svg), $of);
            Assert::assertStringContainsString(sprintf('viewBox="0 0 %s %s"', $width, $height), $svg);
            foreach ($document->getElementsByTagName('text') as $text) {
                $texts[] = $text->textContent;
                foreach (['x' => $width, 'y' => $height] as $axis => $most) {
                    $at = (float) $text->getAttribute($axis);
                    Assert::assertTrue($at > 0 && $at < $most, "$of on $paper->value: “{$text->textContent}” lies at $axis $at");
                }
            }
        }

        return $texts;
    }
}
