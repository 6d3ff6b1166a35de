"""A dump is read before it is run: ours passes, whatever else is in it does not."""

import pytest

from nine_knots.formats.errors import FileRefused
from nine_knots.run.dump_check import check_dump

OURS = r"""/*M!999999\- enable the sandbox mode */
-- MariaDB dump 10.19  Distrib 10.11, for debian-linux-gnu (x86_64)
--
-- Host: 127.0.0.1    Database: nine_knots

/*!40101 SET @OLD_CHARACTER_SET_CLIENT=@@CHARACTER_SET_CLIENT */;
/*!40101 SET NAMES utf8mb4 */;
/*!40103 SET TIME_ZONE='+00:00' */;
/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;
-- CHANGE MASTER TO MASTER_LOG_FILE='changes.000001', MASTER_LOG_POS=78173;
DROP TABLE IF EXISTS `leader`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `leader` (
  `title` varchar(80) NOT NULL COMMENT 'as it''s called; "so" `said` # -- /* x */',
  `share` double GENERATED ALWAYS AS (ln(json_value(`body`,'$.a') / 2)) STORED
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci;
/*!40101 SET character_set_client = @saved_cs_client */;
LOCK TABLES `leader` WRITE;
/*!40000 ALTER TABLE `leader` DISABLE KEYS */;
INSERT INTO `leader` VALUES
('a\'b; \\! rm -rf /\nDROP',NULL,-1.5e-3,0xDEADbeef),
('--; /*',_binary 'x',2,3);
/*!40000 ALTER TABLE `leader` ENABLE KEYS */;
UNLOCK TABLES;
/*!40101 SET SQL_MODE=@OLD_SQL_MODE */;
-- Dump completed
"""
HOSTILE = {
    "a command of the client": "\\! touch /tmp/owned\n",
    "a command in a statement": "SELECT 1 \\! touch /tmp/owned\n;\n",
    "after what only looks like a comment": "--\\! touch /tmp/owned\n",
    "behind another kind of comment": "INSERT INTO `leader` VALUES (1) # '\n\\! touch x\n';\n",
    "in a comment of the table": "CREATE TABLE `a` (`b` int /* ' */) ENGINE=InnoDB;\n",
    "a named command": "system touch /tmp/owned\n",
    "another delimiter": "DELIMITER //\nDROP DATABASE nine_knots //\n",
    "a file read": "INSERT INTO `leader` VALUES (LOAD_FILE('/etc/passwd'));\n",
    "a file written": "SELECT 'x' INTO OUTFILE '/tmp/owned';\n",
    "another database": "DROP TABLE IF EXISTS `mysql`.`user`;\n",
    "another engine": "CREATE TABLE `a` (`b` int) ENGINE=CONNECT;\n",
    "data elsewhere": "CREATE TABLE `a` (`b` int) ENGINE=InnoDB DATA DIRECTORY='/tmp';\n",
    "a copy of what is there": "CREATE TABLE `a` (`b` int) ENGINE=InnoDB AS SELECT 1;\n",
    "a user": "GRANT ALL ON *.* TO 'x'@'%';\n",
    "quoting read otherwise": "/*!40101 SET SQL_MODE='NO_BACKSLASH_ESCAPES' */;\n",
    "quoting by another name": "/*!40101 SET SQL_MODE=ANSI_QUOTES */;\n",
    "letters read otherwise": "/*!40101 SET NAMES gbk */;\n",
    "for everybody": "/*!40101 SET @@GLOBAL.read_only=1 */;\n",
    "a text that never ends": "INSERT INTO `leader` VALUES ('a;\n",
    "something left at the end": "INSERT INTO `leader` VALUES (1); UPDATE `leader` SET x=1",
}


@pytest.fixture
def dump(tmp_path):
    def write(text: str):
        path = tmp_path / "data.sql"
        path.write_text(text)
        return path

    return write


def test_our_own_statements_pass_whatever_texts_hold(dump):
    check_dump(dump(OURS))
    check_dump(dump(""))


@pytest.mark.parametrize("what", HOSTILE)
def test_anything_else_is_refused_by_its_line(dump, what):
    for before, after in (("", OURS), (OURS, "")):
        with pytest.raises(FileRefused, match="is nothing that Nine Knots writes") as refused:
            check_dump(dump(before + HOSTILE[what] + after))
        assert f"line {before.count(chr(10)) + 1} " in refused.value.what
