import { Meter as MeterWords } from "../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";

import type { Schemas } from "../shared/api";
import { Micro, Small } from "../shared/parts";
import { capital } from "../shared/casing";
import { say } from "../shared/say";

interface CourseProps {
  book: Schemas["BenchBook"];
  record: Schemas["Record"] | undefined;
}

/** The course in the order of the trade: each experiment, and how it stands in the record. */
export function CourseSheet({ book, record }: CourseProps) {
  const lineOf = (topic: string) => record?.topics.find((line) => line.topic === topic);
  const next = book.course.find((one) => !lineOf(one.topic)?.tried.includes(one.code));
  return (
    <>
      <Box py="8px">{say("course-sheet-say-what")}</Box>
      {book.topics
        .filter((topic) => book.course.some((one) => one.topic === topic))
        .map((topic) => (
          <Box key={topic} as="section" aria-label={topic} borderTop="1px solid" borderColor="rule" pb="8px">
            <Box display="flex" justifyContent="space-between" pt="8px" pb="2px">
              <b>{capital(topic)}</b>
              <Small>{wordsOf(lineOf(topic))}</Small>
            </Box>
            {book.course
              .filter((one) => one.topic === topic)
              .map((one) => (
                <Go key={one.code} to={`/bench/course/${one.code}`} data-experiment={one.code}>
                  <Micro>{one.number}</Micro>
                  <Box fontWeight={one === next ? 600 : 400}>
                    {one.title}
                    {one === next && <Small>{say("course-sheet-next")}</Small>}
                  </Box>
                  <Small>{lineOf(topic)?.tried.includes(one.code) ? say("course-sheet-tried") : ""}</Small>
                </Go>
              ))}
          </Box>
        ))}
    </>
  );
}

function wordsOf(line: Schemas["TopicLine"] | undefined) {
  if (!line || line.asked === 0) return "";
  const still = line.mistaken.length
    ? say("course-sheet-still-mistaken", { mistaken: line.mistaken.map((one) => MeterWords[one]).join(", ") })
    : "";
  return say("course-sheet-right", { right: line.right, asked: line.asked, still });
}

const Go = chakra(Link, {
  base: {
    display: "grid",
    gridTemplateColumns: "26px 1fr auto",
    alignItems: "center",
    minHeight: "44px",
    textDecoration: "none",
    borderTop: "1px solid",
    borderColor: "hair",
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
});
