import { Box, chakra } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "./api";
import { useJob } from "./job";
import { FilePress, Micro, Small, Word } from "./parts";
import { outbox } from "./outbox";
import { useReader } from "./reader";
import { useLane } from "./useOutbox";
import { Waiting } from "./Waiting";
import { dayOf } from "./times";
import { say } from "./say";

type Photo = Schemas["KeptPhoto"];
const MOST_BYTES = 12_000_000;

/** Photographs of a job: attached, shown, taken away and put back. The server looks into each and strips its place. */
export function Photos({ of, title }: { of: Photo["of"]; title: string }) {
  const { view } = useJob();
  const { who } = useReader();
  const queries = useQueryClient();
  const [large, setLarge] = useState<number | null>(null);
  const key = ["photos", view.id];
  const at = { params: { path: { job_id: view.id } } };
  const listed = useQuery<Photo[], Refused>({
    queryKey: key,
    queryFn: () => taken(api.GET("/api/jobs/{job_id}/photos", at)),
  });
  const again = () => void queries.invalidateQueries({ queryKey: key });
  const [refused, setRefused] = useState<string | null>(null);
  const waiting = useLane(`photos ${view.id}`, again);
  const attach = (file: File) => {
    setRefused(file.size > MOST_BYTES ? say("photos-photograph-most") : null);
    if (file.size > MOST_BYTES) return;
    const query = new URLSearchParams({ of, who });
    outbox.put({
      lane: `photos ${view.id}`,
      label: `${title}, ${file.name}`,
      method: "POST",
      path: `/api/jobs/${view.id}/photos?${query}`,
      revision: null,
      body: null,
      blob: file,
      onNewest: "always",
      who,
    });
  };
  const remove = useMutation<Photo, Refused, Photo>({
    mutationFn: (photo) =>
      taken(
        api.POST("/api/jobs/{job_id}/photos/{photo_id}/removed", {
          params: { path: { job_id: view.id, photo_id: photo.id } },
          body: { removed: !photo.removed },
        }),
      ),
    onSuccess: again,
  });
  const trouble = refused ?? remove.error?.message ?? listed.error?.message;
  const own = (listed.data ?? []).filter((photo) => photo.of === of);
  return (
    <Box pt="8px">
      <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap">
        <Small>{title}</Small>
        <FilePress>
          {say("photos-attach-photograph")}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            aria-label={title}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) attach(file);
              event.target.value = "";
            }}
          />
        </FilePress>
        <Micro>{say("photos-jpeg-png")}</Micro>
      </Box>
      <Waiting acts={waiting.filter((act) => act.label.startsWith(title))} />
      {trouble && (
        <Box role="alert" color="brick" py="4px">
          {trouble}
        </Box>
      )}
      <Box display="flex" gap="14px" flexWrap="wrap" pt="6px">
        {own.map((photo) => (
          <Box key={photo.id} width={large === photo.id ? "100%" : "150px"}>
            {photo.removed ? (
              <Small fontStyle="italic">{say("photos-taken-away")}</Small>
            ) : (
              <Picture
                type="button"
                onClick={() => setLarge(large === photo.id ? null : photo.id)}
                aria-label={say("photos-show-large")}
              >
                <img
                  src={`/api/jobs/${view.id}/photos/${photo.id}`}
                  alt={photo.who ? `${title}, ${photo.who}` : title}
                  style={{ width: "100%", display: "block" }}
                />
              </Picture>
            )}
            <Box display="flex" justifyContent="space-between" alignItems="center">
              <Micro>
                {dayOf(photo.at)} {photo.who}
              </Micro>
              <Word type="button" mx="0" onClick={() => remove.mutate(photo)}>
                {photo.removed ? say("photos-put-back") : say("photos-take-away")}
              </Word>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const Picture = chakra("button", { base: { width: "100%", border: "1px solid", borderColor: "rule" } });
