<?php

declare(strict_types=1);

namespace App\Exports;

use Illuminate\Support\Facades\Process;
use Isleward\Core\Measure\Refusal;

/** Sheets as one PDF through rsvg-convert, in the typeface that ships with Isleward; text stays text. */
final class Pdf
{
    /** The typeface's files, each weight its own: the variable one of the interface has none that a PDF could hold. */
    private const FONTS = 'node_modules/@expo-google-fonts/archivo';

    /**
     * @param  non-empty-list<string>  $sheets  SVG
     * @return string the PDF
     */
    public static function of(array $sheets): string
    {
        $folder = sys_get_temp_dir().'/isleward-pdf-'.bin2hex(random_bytes(6));
        mkdir($folder, 0o700);
        try {
            $files = [];
            foreach ($sheets as $i => $svg) {
                $files[] = $file = sprintf('%s/%05d.svg', $folder, $i);
                file_put_contents($file, $svg);
            }
            file_put_contents(
                "$folder/fonts.conf", sprintf(
                    '<?xml version="1.0"?><!DOCTYPE fontconfig SYSTEM "fonts.dtd"><fontconfig><dir>%s</dir><cachedir>%s</cachedir></fontconfig>',
                    htmlspecialchars(base_path(self::FONTS), ENT_XML1), htmlspecialchars(storage_path('framework/cache/fonts'), ENT_XML1)));
            $made = Process::env(['FONTCONFIG_FILE' => "$folder/fonts.conf"])->timeout(1200)
                ->run(['rsvg-convert', '--format=pdf', "--output=$folder/all.pdf", ...$files]);
            if (! $made->successful() || ! is_file("$folder/all.pdf")) {
                throw Refusal::because(
                    'sheets.pdf',
                    'The sheets could not be written as PDF: '
                                            .(trim($made->errorOutput()) ?: 'rsvg-convert, which “./isleward up” installs, gave no answer')
                                            .'. As SVG they can be had all the same.',
                );
            }

            return (string) file_get_contents("$folder/all.pdf");
        } finally {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        }
    }
}
