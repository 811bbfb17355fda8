<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** A zip archive. What is read is taken to be hostile: entries and sizes are bounded, and no name is used as a path. */
final readonly class Zip
{
    private function __construct(private \ZipArchive $zip) {}

    /**
     * @template T
     *
     * @param  string  $what  the archive is, for the messages: 'compressed file'
     * @param  int  $most  bytes that all its files together may unpack to
     * @param  \Closure(self): T  $read
     * @return T
     *
     * @throws BadInput
     */
    public static function read(string $bytes, string $what, int $maxEntries, int $most, \Closure $read): mixed
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        try {
            file_put_contents($path, $bytes);

            return self::open($path, $what, $maxEntries, $most, $read);
        } finally {
            unlink($path);
        }
    }

    /**
     * The same of a file.
     *
     * @template T
     *
     * @param  \Closure(self): T  $read
     * @return T
     *
     * @throws BadInput
     */
    public static function open(string $path, string $what, int $maxEntries, int $most, \Closure $read): mixed
    {
        $zip = new \ZipArchive();
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw BadZip::cutShort($what);
        }
        try {
            if ($zip->numFiles > $maxEntries) {
                throw BadZip::tooManyFiles($what);
            }
            $total = 0;
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $total += $zip->statIndex($i)['size'] ?? 0;
            }
            if ($total > $most) {
                throw BadZip::tooLarge($what, $most);
            }

            return $read(new self($zip));
        } finally {
            $zip->close();
        }
    }

    /** @param array<string, string> $files contents by name; the first stays uncompressed when it is named `mimetype` */
    public static function pack(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
            $zip->setCompressionName($name, $name === 'mimetype' ? \ZipArchive::CM_STORE : \ZipArchive::CM_DEFLATE);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /**
     * Writes an archive of which no more than one file is held at a time.
     *
     * @param  iterable<string, string>  $files  contents by name
     */
    public static function packTo(string $path, iterable $files): void
    {
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $made = [];
        foreach ($files as $name => $content) {
            file_put_contents($made[] = (string) tempnam(sys_get_temp_dir(), 'entry'), $content);
            $zip->addFile($made[count($made) - 1], $name);
        }
        $zip->close();
        array_map(unlink(...), $made);
    }

    /**
     * @param  int  $most  bytes that are read at most; one more tells that there are more
     *
     * @throws BadInput
     */
    public function entry(string $name, int $most, string $missing): string
    {
        if (! $this->has($name)) {
            throw BadZip::entryMissing($missing);
        }
        // Room is made for as much as is asked for, so no more is than the archive says; where it lies, it is damaged.
        $size = min($this->zip->statName($name)['size'] ?? 0, $most);
        $text = $this->zip->getFromName($name, $size + 1);
        if ($text === false) {
            throw BadZip::entryDamaged($name);
        }

        return $text;
    }

    public function has(string $name): bool
    {
        return $this->zip->locateName($name) !== false;
    }
}
