<?php

declare(strict_types=1);

namespace App\Console;

use App\Page\Photo\PdfPage;
use App\Page\Photo\Tesseract;
use Illuminate\Console\Command;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Refusal;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Process\Process;

/** Prints what is read of a scan or a photo of a page (docs/photo.md). */
final class PhotoCommand extends Command
{
    /** Set for the process that this one begins with its compiler on. */
    private const COMPILED = 'NASTURTIUM_COMPILED';

    private const FORMS = ['json', 'musicxml', 'shorthand'];

    protected $signature = 'nasturtium:photo
        {file : a picture of a page, JPEG or PNG, or a PDF}
        {--page=1 : which page of a PDF}
        {--as=json : json, musicxml or shorthand}';

    protected $description = 'Read a scan or a photo of a page, and print what it says';

    public function handle(): int
    {
        $form = $this->option('as');
        try {
            if (! is_string($form) || ! in_array($form, self::FORMS, true)) {
                throw BadArgument::noChoice('as', is_string($form) ? $form : '', ['json', 'musicxml'], 'shorthand');
            }
            $bytes = GivenFile::contents($this->argument('file'));
            if (! self::isCompiled()) {
                return $this->compiled($form);
            }
            $picture = PdfPage::isPdf($bytes) ? PdfPage::drawn($bytes, max(1, (int) $this->option('page'))) : $bytes;
            // A title is of a piece, not of the figures.
            $words = $form === 'json' ? null : Tesseract::here();
            $written = self::written((new PhotoReader(words: $words))->read($picture)->page, $form);
        } catch (Refusal $reason) {
            fwrite(STDERR, preg_replace('/\s+/', ' ', $reason->getMessage())."\n");

            return self::FAILURE;
        }
        $this->output->write($written, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    /** @throws BadInput|Refusal */
    private static function written(ReadPage $page, string $form): string
    {
        return match ($form) {
            'musicxml' => MusicXmlWriter::write(PhotoPiece::of($page->pieces[0])),
            'shorthand' => implode("\n", array_map(static fn (ReadPhoto $piece): string => ShorthandWriter::write(PhotoPiece::of($piece))->text, $page->pieces)),
            default => json_encode(PhotoDocument::of($page), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n",
        };
    }

    /** The compiler of PHP is chosen when it starts; without it a page takes half as long again. */
    private static function isCompiled(): bool
    {
        $status = function_exists('opcache_get_status') ? opcache_get_status(false) : false;

        return getenv(self::COMPILED) !== false || (is_array($status) && ($status['jit']['on'] ?? false) === true);
    }

    private function compiled(string $form): int
    {
        $file = $this->argument('file');
        $process = new Process([PHP_BINARY, base_path('artisan'), 'nasturtium:photo', is_string($file) ? (string) realpath($file) : '', "--as={$form}", '--page='.(int) $this->option('page')], null, [
            'PHP_INI_SCAN_DIR' => (getenv('PHP_INI_SCAN_DIR') ?: '').':'.base_path('config/php'),
            self::COMPILED => '1',
        ]);
        $process->setTimeout(null);
        $process->run(static function (string $type, string $bytes): void {
            fwrite($type === Process::ERR ? STDERR : STDOUT, $bytes);
        });

        return $process->getExitCode() ?? self::FAILURE;
    }
}
