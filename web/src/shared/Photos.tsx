import { Box, chakra } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api, Refused, type Schemas, taken } from "./api";
import { useView } from "./job";
import { FilePress, Micro, Small, Word } from "./parts";
import { useReader } from "./reader";

type Photo = Schemas["KeptPhoto"];
const MOST_BYTES = 12_000_000;

/** Photographs of a job: attached, shown, taken away and put back. The server looks into each and strips its place. */
export function Photos({ of, title }: { of: Photo["of"]; title: string }) {
  const { view } = useView();
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
  const attach = useMutation<Photo, Refused, File>({
    mutationFn: (file) => send(view.id, of, who, file),
    onSuccess: again,
  });
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
  const trouble = attach.error ?? remove.error ?? listed.error;
  const own = (listed.data ?? []).filter((photo) => photo.of === of);
  return (
    <Box pt="8px">
      <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap">
        <Small>{title}</Small>
        <FilePress>
          {attach.isPending ? "being looked into" : "attach a photograph"}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            aria-label={title}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) attach.mutate(file);
              event.target.value = "";
            }}
          />
        </FilePress>
      </Box>
      {trouble && (
        <Box role="alert" color="brick" py="4px">
          {trouble.message}
        </Box>
      )}
      <Box display="flex" gap="14px" flexWrap="wrap" pt="6px">
        {own.map((photo) => (
          <Box key={photo.id} width={large === photo.id ? "100%" : "150px"}>
            {photo.removed ? (
              <Small fontStyle="italic">taken away</Small>
            ) : (
              <Picture
                type="button"
                onClick={() => setLarge(large === photo.id ? null : photo.id)}
                aria-label="show large"
              >
                <img
                  src={`/api/jobs/${view.id}/photos/${photo.id}`}
                  alt={`${of}, ${photo.who || "photograph"}`}
                  style={{ width: "100%", display: "block" }}
                />
              </Picture>
            )}
            <Box display="flex" justifyContent="space-between" alignItems="center">
              <Micro>
                {photo.at.slice(0, 10)} {photo.who}
              </Micro>
              <Word type="button" mx="0" onClick={() => remove.mutate(photo)}>
                {photo.removed ? "put back" : "take away"}
              </Word>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const Picture = chakra("button", { base: { width: "100%", border: "1px solid", borderColor: "rule" } });

async function send(jobId: number, of: Photo["of"], who: string, file: File): Promise<Photo> {
  if (file.size > MOST_BYTES)
    throw new Refused(413, "A photograph has at most 12 MB; nothing was kept. Take it smaller.");
  const query = new URLSearchParams({ of, who });
  return taken(
    fetch(`/api/jobs/${jobId}/photos?${query}`, {
      method: "POST",
      headers: { "content-type": "application/octet-stream" },
      body: file,
    }).then(async (response) => {
      const body: unknown = await response.json();
      return response.ok ? { data: body as Photo, response } : { error: body, response };
    }),
  );
}
