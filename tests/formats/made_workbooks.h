#pragma once

#include <string>

#include "formats/zip_archive.h"

namespace glumet::testing {

/// A workbook as spreadsheet programs store it: shared and inline strings, a formula with its result.
inline std::string xlsx(const std::string& rows) {
    const std::string head = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>";
    return *zipOf(
        {{"[Content_Types].xml",
          head +
              "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
              "<Default Extension=\"rels\" "
              "ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
              "<Default Extension=\"xml\" ContentType=\"application/xml\"/>"
              "<Override PartName=\"/xl/workbook.xml\" "
              "ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/>"
              "<Override PartName=\"/xl/worksheets/sheet1.xml\" "
              "ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml\"/>"
              "<Override PartName=\"/xl/sharedStrings.xml\" "
              "ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sharedStrings+xml\"/"
              "></Types>"},
         {"_rels/.rels", head + "<Relationships "
                                "xmlns=\"http://schemas.openxmlformats.org/package/2006/"
                                "relationships\"><Relationship Id=\"rId1\" "
                                "Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/"
                                "officeDocument\" Target=\"xl/workbook.xml\"/></Relationships>"},
         {"xl/workbook.xml",
          head + "<workbook xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\" "
                 "xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/"
                 "relationships\"><sheets><sheet name=\"Tank\" sheetId=\"1\" "
                 "r:id=\"rId1\"/></sheets></workbook>"},
         {"xl/_rels/workbook.xml.rels",
          head + "<Relationships "
                 "xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship "
                 "Id=\"rId1\" "
                 "Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet\" "
                 "Target=\"worksheets/sheet1.xml\"/>"
                 "<Relationship Id=\"rId2\" "
                 "Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/sharedStrings\" "
                 "Target=\"sharedStrings.xml\"/></Relationships>"},
         {"xl/sharedStrings.xml",
          head + "<sst xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\" count=\"2\" "
                 "uniqueCount=\"2\"><si><t>Height 25 cm, depth 15 "
                 "cm</t></si><si><t>a, \"quoted\" one</t></si></sst>"},
         {"xl/worksheets/sheet1.xml",
          head +
              "<worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>" +
              rows + "</sheetData></worksheet>"}});
}

/// The same as OpenDocument.
inline std::string ods(const std::string& rows) {
    const std::string head = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>";
    return *zipOf(
        {{"mimetype", "application/vnd.oasis.opendocument.spreadsheet"},
         {"content.xml",
          head +
              "<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
              "xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\" "
              "xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\" "
              "office:version=\"1.2\"><office:body><office:spreadsheet><table:table table:name=\"Tank\">" +
              rows + "</table:table></office:spreadsheet></office:body></office:document-content>"}});
}

}  // namespace glumet::testing
