<?php

declare(strict_types=1);

namespace App\Http;

/** Tells from an error what of ours does not answer: the database, or room to write. */
enum Outage
{
    case Database;
    case Room;

    /** Codes of MariaDB's client and server: no connection, connection lost or killed, server going down, too many connections. */
    private const GONE = [2002, 2003, 2006, 2013, 2055, 1040, 1053, 1077, 1203, 1927];

    /** Disk full, table full, error writing a file, read-only. */
    private const FULL = [3, 1021, 1026, 1036, 1114, 1290];

    public static function of(\Throwable $e): ?self
    {
        for ($cause = $e; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof \App\Files\StorageFull) {
                return self::Room;
            }
            if (! $cause instanceof \PDOException) {
                continue;
            }
            $code = (int) ($cause->errorInfo[1] ?? (is_numeric($cause->getCode()) ? $cause->getCode() : 0));
            if (in_array($code, self::GONE, true) || preg_match(
                '/server has gone away|Connection refused|Lost connection|No such file or directory|Broken pipe|Connection reset|Connection was killed/i',
                $cause->getMessage(),
            ) === 1) {
                return self::Database;
            }
            if (in_array($code, self::FULL, true)) {
                return self::Room;
            }
        }

        return null;
    }
}
